# Writes soybean.csv: the Soybean data of the UCI Machine Learning Repository (R. S. Michalski and R. L. Chilausky 1980), 683 plants of 19
# diseases, 35 characters of states, with missing values, as the R package mlbench ships it (Debian r-cran-mlbench).
#   Rscript soybean-fixtures.R > soybean.csv
library(mlbench)
data(Soybean)
write.csv(Soybean, stdout(), row.names = FALSE, na = "", quote = FALSE)
