# Taxa by characters: reads the figures of a sheet (Groups, Versions, “Its figures (CSV)”) into a matrix with a row a taxon.
# usage: Rscript figures.R "Alders, version 3 matrix.csv"
figures <- read.csv(commandArgs(TRUE)[1], check.names = FALSE)
column <- paste(figures$character, figures$`state or limit`, sep = ": ")
matrix <- tapply(figures$value, list(taxon = figures$taxon, column = factor(column, unique(column))), sum)
print(dim(matrix))
print(round(matrix[, 1:min(6, ncol(matrix))], 2)) # a state's share of trees, or a limit in the character's unit; NA: not known
write.csv(matrix, "figures.csv")
