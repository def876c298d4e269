#!/usr/bin/env python3
"""Flips seeded operators and constants in the rooms without Qt, one at a time, and asks the tests.

A mutant is caught when a test fails or the tests do not end; one that does not compile is drawn again. Works on a
copy in a build tree of its own, so the sources may be edited meanwhile.
"""
import pathlib
import random
import re
import shutil
import subprocess
import sys

ROOT = pathlib.Path(__file__).resolve().parent.parent
WORK = ROOT / "build" / "mutants"
COPY = WORK / "copy"
TREE = WORK / "tree"
COUNT = 40
NEEDED = 36
ROOMS = ("core", "formats", "notebook", "quantity")
SUITES = ["test-quantity", "test-formats", "test-notebook", "test-core", "test-frozen", "test-wording", "test-cli"]
FLIPS = [
    (r" \+ ", " - "), (r" - ", " + "), (r" \* ", " / "), (r" / ", " * "), (r" < ", " >= "), (r" > ", " <= "),
    (r" <= ", " > "), (r" >= ", " < "), (r" == ", " != "), (r" != ", " == "), (r" && ", " || "), (r" \|\| ", " && "),
    (r"(?<![\w.])0\.5(?![\w])", "0.7"), (r"(?<![\w.])2\.0(?![\w])", "3.0"), (r"(?<![\w.])1\.0(?![\w])", "1.5"),
]


def sites():
    found = []
    for room in ROOMS:
        for path in sorted((COPY / "src" / room).rglob("*.cpp")):
            for number, line in enumerate(path.read_text().split("\n")):
                code = line.split("//")[0]
                if not code.strip() or code.lstrip().startswith("#") or '"' in code:
                    continue
                for pattern, replacement in FLIPS:
                    for match in re.finditer(pattern, code):
                        found.append((path.relative_to(COPY), number, match.start(), match.end(), replacement))
    return found


def run(command, seconds, **options):
    try:
        return subprocess.run(command, timeout=seconds, capture_output=True, text=True, **options).returncode
    except subprocess.TimeoutExpired:
        return 124


class DoesNotCompile(Exception):
    pass


def own_tests(path):
    """The filter that picks the tests named after a source, or nothing."""
    mirrored = COPY / "tests" / path.relative_to("src").with_name(path.stem + "Test.cpp")
    if not mirrored.exists():
        return ""
    suites = sorted(set(re.findall(r"^TEST(?:_F|_P)?\((\w+)", mirrored.read_text(), re.MULTILINE)))
    return ":".join(f"{suite}.*:*/{suite}.*" for suite in suites)


def tests_fail(path=None, seconds=900):
    """The first suite that fails; the tests of the source's own name are asked first, then its room's."""
    room = path.parts[1] if path else ""
    own = own_tests(path) if path else ""
    for suite in sorted(SUITES, key=lambda one: one != f"test-{room}"):
        if run(["cmake", "--build", str(TREE), "--target", suite], seconds) != 0:
            raise DoesNotCompile(suite)
        filters = [own, "*"] if own and suite == f"test-{room}" else ["*"]
        for picked in filters:
            command = [str(TREE / suite), "--gtest_brief=1", "--gtest_fail_fast", f"--gtest_filter={picked}"]
            if run(command, 600, cwd=TREE) != 0:
                return suite
    return None


def main():
    seed = int(sys.argv[1]) if len(sys.argv) > 1 else 1
    shutil.rmtree(COPY, ignore_errors=True)
    WORK.mkdir(parents=True, exist_ok=True)
    # Fresh times: a mutant left over from a run that was stopped is built anew.
    shutil.copytree(ROOT, COPY, ignore=shutil.ignore_patterns("build", ".git"), copy_function=shutil.copy)
    configure = ["cmake", "-S", str(COPY), "-B", str(TREE), "-G", "Ninja", "-DCMAKE_BUILD_TYPE=Release", "-DANODEX_APP=OFF"]
    if subprocess.run(configure, capture_output=True).returncode != 0 or tests_fail(seconds=3600):
        sys.exit("mutants: the unchanged tree does not build and pass")
    drawn = sites()
    random.Random(seed).shuffle(drawn)
    tried = 0
    caught = 0
    for path, number, start, end, replacement in drawn:
        target = COPY / path
        original = target.read_text()
        lines = original.split("\n")
        before = lines[number]
        lines[number] = before[:start] + replacement + before[end:]
        target.write_text("\n".join(lines))
        try:
            by = tests_fail(path)
            tried += 1
            caught += 1 if by else 0
            print(f"{tried:2} {'caught by ' + by if by else 'ALIVE'}: {path}:{number + 1}: {before.strip()}  →  "
                  f"{lines[number].strip()}", flush=True)
        except DoesNotCompile:
            pass
        target.write_text(original)
        if tried == COUNT:
            break
    print(f"{caught} of {COUNT} caught, {NEEDED} needed")
    sys.exit(0 if caught >= NEEDED else 1)


if __name__ == "__main__":
    main()
