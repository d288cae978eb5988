# What vcd (kappa, weighted kappa and their errors) and epiR (bias- and prevalence-adjusted kappa) say of
# agreement, for spec/core/statistics/agreement_spec.rb. Needs Debian's r-cran-vcd, r-cran-epir and
# r-cran-jsonlite (made with vcd 1.4-11, epiR 2.0.57):
#   Rscript spec/outside/agreement.R > spec/fixtures/metafor/agreement.json
# The tests read the file and need no R.
suppressMessages({library(vcd); library(epiR); library(jsonlite)})
set.seed(19)
one <- function(kinds) {
  t <- matrix(rpois(kinds * kinds, sample(1:8, 1)), kinds) + diag(rpois(kinds, 25), kinds)
  said <- function(weights) { k <- Kappa(t, weights = weights); list(plain = unname(k$Unweighted), weighted = unname(k$Weighted)) }
  linear <- said("Equal-Spacing"); quadratic <- said("Fleiss-Cohen")
  pabak <- if (kinds == 2) epi.kappa(t, method = "cohen")$pabak$est else NA
  list(table = t, plain = linear$plain, linear = linear$weighted, quadratic = quadratic$weighted, pabak = pabak)
}
write(toJSON(lapply(rep(2:5, 10), one), digits = 12, auto_unbox = TRUE, na = "null"), stdout())
