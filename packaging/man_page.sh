#!/bin/sh
# man_page.sh HELP2MAN VERSION FOLDER NAME COMMAND [WHAT]: FOLDER/NAME.1.gz from the command's own help.
set -e
help2man=$1 version=$2 folder=$3 name=$4 command=$5
export LC_ALL=C.UTF-8 QT_QPA_PLATFORM=offscreen
what=${6:-$($command --help | head -1)}
mkdir -p "$folder"
"$help2man" --no-info --manual=Dynamet --source="Dynamet $version" --version-string="$version" --name="$what" \
  --output="$folder/$name.1" "$command"
sed -i "s/^$command \\\\-/$name \\\\-/" "$folder/$name.1"
gzip -9nf "$folder/$name.1"
