# anodex_embed(TARGET FUNCTION FILES...) gives TARGET a source that holds FILES as text, found by their path
# below data/. Text is cut into pieces because compilers limit the length of one literal.
function(anodex_embed target)
  set(out ${CMAKE_CURRENT_BINARY_DIR}/${target}_embedded.cpp)
  add_custom_command(
    OUTPUT ${out}
    COMMAND ${CMAKE_COMMAND} -DOUT=${out} -DROOT=${CMAKE_SOURCE_DIR}/data "-DFILES=${ARGN}"
            -P ${CMAKE_SOURCE_DIR}/cmake/EmbedDataRun.cmake
    DEPENDS ${ARGN} ${CMAKE_SOURCE_DIR}/cmake/EmbedDataRun.cmake
    VERBATIM)
  target_sources(${target} PRIVATE ${out})
endfunction()
