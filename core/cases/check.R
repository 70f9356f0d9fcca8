# Runs the R lines of cases.txt again: prints what differs, and how many agree.
options(digits = 15)
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
