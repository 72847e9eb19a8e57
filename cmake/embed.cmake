# dynamet_embed(target FILE NAME): the text of a shipped table as `std::string_view dynamet::data::NAME`.
function(dynamet_embed target file name)
  set(out ${CMAKE_CURRENT_BINARY_DIR}/embedded_${name}.cpp)
  set_property(DIRECTORY APPEND PROPERTY CMAKE_CONFIGURE_DEPENDS ${file})
  file(READ ${file} text)
  # A compiler takes string literals of 64 kB; cut the text into pieces that are joined again.
  string(LENGTH "${text}" length)
  set(pieces "")
  set(at 0)
  while(at LESS length)
    string(SUBSTRING "${text}" ${at} 12000 piece)
    string(APPEND pieces "R\"~~~(${piece})~~~\"\n")
    math(EXPR at "${at} + 12000")
  endwhile()
  file(CONFIGURE OUTPUT ${out} CONTENT
    "#include <string_view>\nnamespace dynamet::data { extern const std::string_view ${name}; const std::string_view ${name} = \n@pieces@; }\n" @ONLY)
  target_sources(${target} PRIVATE ${out})
endfunction()

# dynamet_embed_pages(target FOLDER NAME): all Markdown pages of a folder as one text, each behind a record
# separator and its name.
function(dynamet_embed_pages target folder name)
  file(GLOB pages CONFIGURE_DEPENDS ${folder}/*.md)
  string(ASCII 30 separator)
  set(all "")
  foreach(page ${pages})
    set_property(DIRECTORY APPEND PROPERTY CMAKE_CONFIGURE_DEPENDS ${page})
    get_filename_component(id ${page} NAME_WE)
    file(READ ${page} text)
    string(APPEND all "${separator}${id}\n${text}")
  endforeach()
  file(CONFIGURE OUTPUT ${CMAKE_CURRENT_BINARY_DIR}/${name}.txt CONTENT "@all@" @ONLY)
  dynamet_embed(${target} ${CMAKE_CURRENT_BINARY_DIR}/${name}.txt ${name})
endfunction()
