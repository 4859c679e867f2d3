# Writes daisy.json: dissimilarities by cluster::daisy(metric = "gower") on its own data sets flower and plantTraits (Debian r-cran-cluster,
# part of r-recommended), with the data in the scale the function used.
#   Rscript daisy-fixtures.R > daisy.json
library(cluster)
num <- function(v) paste0("[", paste(ifelse(is.na(v), "null", format(v, digits = 17, trim = TRUE)), collapse = ","), "]")
set <- function(name, data, symm) {
  kinds <- sapply(seq_along(data), function(j) if (is.ordered(data[[j]])) "ordinal" else if (j %in% symm) "nominal" else if (is.factor(data[[j]])) "nominal" else "measure")
  d <- suppressWarnings(daisy(data, metric = "gower", type = list(symm = symm)))
  m <- as.matrix(d)
  rows <- apply(sapply(data, function(col) as.numeric(col)), 1, num)
  take <- seq_len(min(nrow(data), 24))
  paste0('{"name":"', name, '","kinds":["', paste(kinds, collapse = '","'), '"],"rows":[', paste(rows, collapse = ","),
         '],"dissimilarity":[', paste(apply(m[take, take], 1, num), collapse = ","), ']}')
}
data(flower); data(plantTraits)
binary <- which(sapply(plantTraits, function(col) is.factor(col) && !is.ordered(col)))
cat('{"r":"', as.character(getRversion()), '","cluster":"', as.character(packageVersion("cluster")), '","sets":[', sep = "")
cat(set("flower", flower, c(1, 2, 3)), ",", set("plantTraits", plantTraits, binary), "]}", sep = "")
