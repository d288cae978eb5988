# What metafor says of crossover trials (MC, MPRR, MPOR, MPRD) and of cluster-randomised ones (escalc over the counts that are
# left of each cell, and of each group, at the effective sample size). Needs Debian's r-cran-metafor and r-cran-jsonlite (made
# with metafor 3.8-1): Rscript spec/outside/designs.R > spec/fixtures/metafor/designs.json. The tests need no R.
suppressMessages({library(metafor); library(jsonlite)})
set.seed(14)
values <- function(es) c(as.numeric(es$yi), as.numeric(es$vi))

means <- lapply(1:40, function(turn) {
  n <- sample(8:200, 1); m <- round(rnorm(2, 20, 6), 2); sd <- round(runif(2, 1, 9), 2); r <- round(runif(1, -0.3, 0.95), 2)
  list(n = n, m = m, sd = sd, r = r, said = values(escalc("MC", m1i = m[1], m2i = m[2], sd1i = sd[1], sd2i = sd[2], ni = n, ri = r)))
})
# Paired tables: both, only the first, only the second, neither; with the correlation that they have.
pairs <- lapply(1:40, function(turn) {
  cells <- sample(1:60, 4, replace = TRUE); n <- sum(cells)
  p <- c(cells[1] + cells[2], cells[1] + cells[3]) / n
  r <- (cells[1] / n - p[1] * p[2]) / sqrt(prod(p * (1 - p)))
  of <- function(measure) values(escalc(measure, ai = cells[1], bi = cells[2], ci = cells[3], di = cells[4]))
  list(n = n, events = n * p, r = r, ratio = of("MPRR"), odds = of("MPOR"), difference = of("MPRD"))
})
clusters <- lapply(1:40, function(turn) {
  n <- sample(60:900, 2); events <- round(n * runif(2, 0.05, 0.6)) + 1; size <- round(runif(1, 3, 60), 1); icc <- round(runif(1, 0, 0.2), 3)
  left <- 1 + (size - 1) * icc
  of <- function(measure) values(escalc(measure, ai = events[1] / left, n1i = n[1] / left, ci = events[2] / left, n2i = n[2] / left))
  m <- round(rnorm(2, 20, 4), 2); sd <- round(runif(2, 1, 9), 2)
  list(n = n, events = events, size = size, icc = icc, ratio = of("RR"), odds = of("OR"), difference = of("RD"), m = m, sd = sd,
       means = values(escalc("MD", m1i = m[1], m2i = m[2], sd1i = sd[1], sd2i = sd[2], n1i = n[1] / left, n2i = n[2] / left)))
})
cat(toJSON(list(metafor = as.character(packageVersion("metafor")), means = means, pairs = pairs, clusters = clusters),
           digits = NA, auto_unbox = TRUE, pretty = FALSE))
