# Warnings and sanitizers for every target of ours, and the one way to make a core library.
add_library(dynamet_warnings INTERFACE)
target_compile_options(dynamet_warnings INTERFACE -Wall -Wextra -Wpedantic -Wconversion -Wshadow
  $<$<BOOL:${DYNAMET_WERROR}>:-Werror>)
if(DYNAMET_SANITIZE)
  # GCC 12 sees uninitialised values that are none once the sanitizers have rewritten the code.
  target_compile_options(dynamet_warnings INTERFACE $<$<CXX_COMPILER_ID:GNU>:-Wno-maybe-uninitialized>)
  add_compile_options(-fsanitize=${DYNAMET_SANITIZE} -fno-omit-frame-pointer -fno-sanitize-recover=undefined)
  add_link_options(-fsanitize=${DYNAMET_SANITIZE})
  find_program(LLD ld.lld)
  if(LLD AND CMAKE_CXX_COMPILER_ID STREQUAL "Clang") # a fifth of the time
    add_link_options(-fuse-ld=lld)
  endif()
  # Eigen pads what it allocates when it sees the address sanitizer; a library built without it does
  # not, and each frees what the other made. The C library's own blocks are aligned enough.
  add_compile_definitions(EIGEN_MALLOC_ALREADY_ALIGNED=1)
endif()

# The window and the tests compute nothing themselves: what they use of the core is checked for
# undefined behaviour there. It takes a third of the compiler's time.
set(DYNAMET_LIGHTLY_SANITIZED)
if(DYNAMET_SANITIZE MATCHES undefined)
  set(DYNAMET_LIGHTLY_SANITIZED -fno-sanitize=undefined)
endif()

if(DYNAMET_FUZZ)
  add_compile_options(-fsanitize=fuzzer-no-link)
endif()

# What computes. Nothing reads errno or floating-point traps. Sanitizers treble the compiler's work at
# every level of optimisation: only this is worth it.
set(DYNAMET_HOT heat cook food numeric plan)
set(DYNAMET_HOT_OPTIONS -fno-math-errno -fno-trapping-math $<$<CONFIG:Release>:-O3>)
if(DYNAMET_SANITIZE)
  list(APPEND DYNAMET_HOT_OPTIONS -O2)
endif()

# dynamet_library(NAME folder SOURCES a.cpp … LINKS public… PRIVATE_LINKS …): one folder, one library,
# which sees the folders it links and no other.
function(dynamet_library folder)
  cmake_parse_arguments(ARG "" "" "SOURCES;LINKS;PRIVATE_LINKS" ${ARGN})
  set(target dynamet_${folder})
  add_library(${target} STATIC ${ARG_SOURCES})
  # Headers are reached through a link that holds this folder only, so an unlinked folder is not seen.
  set(view ${CMAKE_BINARY_DIR}/include/${folder})
  file(MAKE_DIRECTORY ${view})
  file(CREATE_LINK ${CMAKE_CURRENT_SOURCE_DIR} ${view}/${folder} SYMBOLIC)
  target_include_directories(${target} PUBLIC ${view})
  target_link_libraries(${target} PUBLIC ${ARG_LINKS} PRIVATE dynamet_warnings ${ARG_PRIVATE_LINKS})
  if(${folder} IN_LIST DYNAMET_HOT)
    target_compile_options(${target} PRIVATE ${DYNAMET_HOT_OPTIONS})
  endif()
endfunction()
