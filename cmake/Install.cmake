# Programs, data, man pages, completion, icon, desktop entry and the type of notebooks, below any prefix. The
# programs carry their data with them, so that they run from wherever they are put.
include(GNUInstallDirs)

string(TIMESTAMP ANODEX_DATE "%Y-%m-%d" UTC)
set(PAGES ${CMAKE_BINARY_DIR}/pages)
file(MAKE_DIRECTORY ${PAGES})
set(COMPLETIONS ${PAGES}/anodex-cli.bash ${PAGES}/anodex-cli.zsh ${PAGES}/anodex-cli.fish)
add_custom_command(OUTPUT ${PAGES}/anodex-cli.1 ${COMPLETIONS}
  COMMAND anodex-cli-documents man ${PROJECT_VERSION} ${ANODEX_DATE} > ${PAGES}/anodex-cli.1
  COMMAND anodex-cli-documents bash > ${PAGES}/anodex-cli.bash
  COMMAND anodex-cli-documents zsh > ${PAGES}/anodex-cli.zsh
  COMMAND anodex-cli-documents fish > ${PAGES}/anodex-cli.fish
  DEPENDS anodex-cli-documents VERBATIM)
add_custom_target(documents ALL DEPENDS ${PAGES}/anodex-cli.1 ${COMPLETIONS})

install(TARGETS anodex-cli RUNTIME DESTINATION ${CMAKE_INSTALL_BINDIR})
install(FILES ${PAGES}/anodex-cli.1 DESTINATION ${CMAKE_INSTALL_MANDIR}/man1)
install(FILES ${PAGES}/anodex-cli.bash DESTINATION ${CMAKE_INSTALL_DATADIR}/bash-completion/completions
  RENAME anodex-cli)
install(FILES ${PAGES}/anodex-cli.zsh DESTINATION ${CMAKE_INSTALL_DATADIR}/zsh/site-functions RENAME _anodex-cli)
install(FILES ${PAGES}/anodex-cli.fish DESTINATION ${CMAKE_INSTALL_DATADIR}/fish/vendor_completions.d)
install(DIRECTORY data/schema data/starters data/catalogue data/texts data/handbook data/cupboard data/hazards
  DESTINATION ${CMAKE_INSTALL_DATADIR}/anodex)
install(FILES LICENSE README.md CHANGELOG.md DESTINATION ${CMAKE_INSTALL_DOCDIR})
if(ANODEX_APP)
  set(VERSION ${PROJECT_VERSION})
  set(DATE ${ANODEX_DATE})
  configure_file(data/desktop/anodex.1.in ${PAGES}/anodex.1 @ONLY)
  install(TARGETS anodex RUNTIME DESTINATION ${CMAKE_INSTALL_BINDIR})
  install(FILES ${PAGES}/anodex.1 DESTINATION ${CMAKE_INSTALL_MANDIR}/man1)
  install(FILES data/icons/anodex.svg DESTINATION ${CMAKE_INSTALL_DATADIR}/icons/hicolor/scalable/apps)
  install(FILES data/desktop/anodex.desktop DESTINATION ${CMAKE_INSTALL_DATADIR}/applications)
  install(FILES data/desktop/anodex.xml DESTINATION ${CMAKE_INSTALL_DATADIR}/mime/packages)
endif()
