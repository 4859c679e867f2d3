# Reads nexus-sample.nex with ape (Debian package r-cran-ape) and prints what it read: Rscript nexus.R > nexus-ape.json
# ape keeps the labels as they stand in the file, and writes several states with strokes between them.
read <- ape::read.nexus.data("nexus-sample.nex")
label <- function(name) gsub("''", "'", gsub("_", " ", gsub("^'|'$", "", name)))
cells <- function(row) paste0('"', toupper(gsub("/", "", unlist(row))), '"', collapse = ", ")
cat("{\n", paste0(' "', sapply(names(read), label), '": [', sapply(read, cells), "]", collapse = ",\n"), "\n}\n", sep = "")
