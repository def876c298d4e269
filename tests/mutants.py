#!/usr/bin/env python3
"""Flips seeded operators and constants in the rooms without Qt, one at a time, and asks the tests.

A mutant is caught when a test fails or the tests do not end; one that does not compile is drawn again. Works on a
copy in a build tree of its own, so the sources may be edited meanwhile. Each seed named draws forty of its own.
"""
import filecmp
import os
import pathlib
import random
import re
import shutil
import subprocess
import sys
import time

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


def suites_in(files):
    """The filter that picks the tests these files hold, or nothing."""
    named = set()
    for file in files:
        named.update(re.findall(r"^TEST(?:_F|_P)?\((\w+)", file.read_text(), re.MULTILINE))
    return ":".join(f"{suite}.*:*/{suite}.*" for suite in sorted(named))


def filters_for(path):
    """The tests named after a source first, then those of its folder, then all of its room."""
    mirrored = COPY / "tests" / path.relative_to("src").with_name(path.stem + "Test.cpp")
    own = suites_in([mirrored]) if mirrored.exists() else ""
    beside = suites_in(sorted(mirrored.parent.glob("*Test.cpp")))
    return [picked for picked in (own, beside) if picked] + ["*"]


def passes(suite, picked):
    """Whether all picked tests pass; the machine's cores share them."""
    shards = os.cpu_count() or 1
    command = [str(TREE / suite), "--gtest_brief=1", "--gtest_fail_fast", f"--gtest_filter={picked}"]
    running = [subprocess.Popen(command, cwd=TREE, stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL,
                                env={**os.environ, "GTEST_TOTAL_SHARDS": str(shards), "GTEST_SHARD_INDEX": str(i)})
               for i in range(shards)]
    ends = time.monotonic() + (600 if picked == "*" else 120)
    codes = [None]
    while None in codes and not any(codes) and time.monotonic() < ends:
        time.sleep(0.05)
        codes = [one.poll() for one in running]
    for one in running:
        one.kill()
        one.wait()
    return all(code == 0 for code in codes)


def tests_fail(path=None, seconds=900):
    """The first suite that fails; that of the source's own room is asked first."""
    room = path.parts[1] if path else ""
    for suite in sorted(SUITES, key=lambda one: one != f"test-{room}"):
        if run(["cmake", "--build", str(TREE), "--target", suite], seconds) != 0:
            raise DoesNotCompile(suite)
        filters = filters_for(path) if path and suite == f"test-{room}" else ["*"]
        if not all(passes(suite, picked) for picked in filters):
            return suite
    return None


def bring_copy_up_to_date():
    """Only what differs is written anew, a mutant left over from a run that was stopped too: the rest stays built."""
    wanted = set()
    tops = [top for top in ROOT.iterdir() if top.name not in ("build", ".git")]
    for path in [inside for top in tops for inside in ([top] if top.is_file() else top.rglob("*"))]:
        relative = path.relative_to(ROOT)
        if path.is_file():
            wanted.add(relative)
            target = COPY / relative
            if not target.exists() or not filecmp.cmp(path, target, shallow=False):
                target.parent.mkdir(parents=True, exist_ok=True)
                shutil.copy(path, target)
    for path in COPY.rglob("*"):
        if path.is_file() and path.relative_to(COPY) not in wanted:
            path.unlink()


def try_seed(seed):
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
    print(f"seed {seed}: {caught} of {COUNT} caught, {NEEDED} needed", flush=True)
    return caught >= NEEDED


def main():
    COPY.mkdir(parents=True, exist_ok=True)
    bring_copy_up_to_date()
    configure = ["cmake", "-S", str(COPY), "-B", str(TREE), "-G", "Ninja", "-DCMAKE_BUILD_TYPE=Release", "-DANODEX_APP=OFF"]
    if subprocess.run(configure, capture_output=True).returncode != 0 or tests_fail(seconds=3600):
        sys.exit("mutants: the unchanged tree does not build and pass")
    held = [try_seed(int(seed)) for seed in sys.argv[1:] or ["1"]]
    sys.exit(0 if all(held) else 1)


if __name__ == "__main__":
    main()
