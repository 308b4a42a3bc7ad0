# SPDX-License-Identifier: GPL-3.0-or-later
# What is installed, and the Debian package of it (CPack).
include(GNUInstallDirs)
install(TARGETS meek-trellis meek-trellis-cli meek-trellis-reader meek-bench-printer RUNTIME)
set(packaging ${PROJECT_SOURCE_DIR}/packaging)
install(FILES ${packaging}/meek-trellis.desktop DESTINATION ${CMAKE_INSTALL_DATADIR}/applications)
install(FILES ${packaging}/org.meektrellis.MeekTrellis.metainfo.xml DESTINATION ${CMAKE_INSTALL_DATADIR}/metainfo)
install(FILES ${packaging}/meek-trellis.xml DESTINATION ${CMAKE_INSTALL_DATADIR}/mime/packages)
install(FILES ${packaging}/icons/meek-trellis.svg DESTINATION ${CMAKE_INSTALL_DATADIR}/icons/hicolor/scalable/apps)
foreach(size 48 128)
  install(FILES ${packaging}/icons/meek-trellis-${size}.png RENAME meek-trellis.png
    DESTINATION ${CMAKE_INSTALL_DATADIR}/icons/hicolor/${size}x${size}/apps)
endforeach()
foreach(program meek-trellis-cli meek-bench-printer)
  install(FILES ${packaging}/${program}.bash RENAME ${program}
    DESTINATION ${CMAKE_INSTALL_DATADIR}/bash-completion/completions)
endforeach()
install(FILES ${packaging}/_meek-trellis-cli DESTINATION ${CMAKE_INSTALL_DATADIR}/zsh/vendor-completions)
install(FILES ${packaging}/copyright DESTINATION ${CMAKE_INSTALL_DATADIR}/doc/meek-trellis)
install(FILES ${CMAKE_BINARY_DIR}/share/meek-trellis-words/meek-trellis_de.qm
  DESTINATION ${CMAKE_INSTALL_DATADIR}/meek-trellis-words)
install(DIRECTORY ${PROJECT_SOURCE_DIR}/docs/manual ${PROJECT_SOURCE_DIR}/docs/screenshots
  DESTINATION ${CMAKE_INSTALL_DATADIR}/meek-trellis)
install(FILES ${CMAKE_BINARY_DIR}/demo/fernhollow.3mf DESTINATION ${CMAKE_INSTALL_DATADIR}/meek-trellis/demo)

# Debian wants these compressed, without a date within.
function(install_compressed source target destination)
  execute_process(COMMAND gzip -9nc ${source} OUTPUT_FILE ${CMAKE_BINARY_DIR}/packaging/${target}.gz
    COMMAND_ERROR_IS_FATAL ANY)
  install(FILES ${CMAKE_BINARY_DIR}/packaging/${target}.gz DESTINATION ${destination})
endfunction()
file(MAKE_DIRECTORY ${CMAKE_BINARY_DIR}/packaging)
foreach(program meek-trellis meek-trellis-cli meek-trellis-reader meek-bench-printer)
  install_compressed(${packaging}/man/${program}.1 ${program}.1 ${CMAKE_INSTALL_MANDIR}/man1)
endforeach()
install_compressed(${packaging}/changelog changelog ${CMAKE_INSTALL_DATADIR}/doc/meek-trellis)

set(CPACK_GENERATOR DEB)
set(CPACK_PACKAGING_INSTALL_PREFIX /usr)
set(CPACK_PACKAGE_CONTACT "The makers of Meek Trellis <makers@meektrellis.org>")
set(CPACK_PACKAGE_DESCRIPTION_SUMMARY "bench for deciding where support goes in filament printing")
set(CPACK_DEBIAN_PACKAGE_DESCRIPTION "Support is painted, built as columns or trees, priced in hours,
grams and minutes of a hand, checked by a trial print of the finished
text, planned off piece by piece, and compared with other ways of doing
it. Reads STL, OBJ, PLY, OFF, 3MF and AMF; writes G-code, 3MF and STL,
or hands the print over to a printer line by line.")
set(CPACK_DEBIAN_PACKAGE_SECTION graphics)
set(CPACK_DEBIAN_PACKAGE_SHLIBDEPS ON)
set(CPACK_DEBIAN_PACKAGE_DEPENDS "qt6-qpa-plugins")
set(CPACK_DEBIAN_FILE_NAME DEB-DEFAULT)
set(CPACK_STRIP_FILES ON)
include(CPack)
