# Runs the R lines of cases.txt again: prints what differs, and how many agree.
options(digits = 15)

# helpers
# Two factors crossed: F and p of an effect, each main effect judged after the other. A letter a value names its level.
crossed <- function(rows, columns, y, effect) {
  a <- strsplit(rows, "")[[1]]
  b <- strsplit(columns, "")[[1]]
  both <- lm(y ~ a + b)
  full <- if (max(table(a, b)) > 1) lm(y ~ a * b) else both
  pair <- switch(effect, row = list(lm(y ~ b), both), column = list(lm(y ~ a), both), list(both, full))
  df <- df.residual(pair[[1]]) - df.residual(pair[[2]])
  F <- (deviance(pair[[1]]) - deviance(pair[[2]])) / df / (deviance(full) / df.residual(full))
  c(F, pf(F, df, df.residual(full), lower.tail = FALSE))
}
# The exact two-sided p of the rank sum test over all ways to deal the values out, ties as they are.
dealt <- function(a, b) {
  r <- rank(c(a, b))
  sums <- round(2 * colSums(combn(r, length(a))))
  got <- round(2 * sum(r[seq_along(a)]))
  min(1, 2 * min(mean(sums <= got), mean(sums >= got)))
}
# end of helpers

here <- sub("^--file=", "", grep("^--file=", commandArgs(FALSE), value = TRUE))
lines <- readLines(file.path(dirname(here), "cases.txt"), encoding = "UTF-8")
agree <- 0
for (i in grep("^R    ", lines)) {
  got <- unname(eval(parse(text = substring(lines[i], 6))))
  kept <- gsub("[][\"]", "", substring(lines[i + 1], 6))
  kept <- if (nzchar(trimws(kept))) trimws(strsplit(kept, ",")[[1]]) else character(0)
  same <- length(kept) == length(got) &&
    (if (is.character(got)) all(kept == got) else all(abs(as.numeric(kept) - got) <= 1e-9 * pmax(1, abs(got))))
  if (same) agree <- agree + 1 else cat(lines[i], "\n  kept", kept, "\n  got ", got, "\n")
}
cat(agree, "of", length(grep("^R    ", lines)), "agree\n")
