# 2,000 random subsets, of 3 to 8 studies, of open data sets of metadat, each with the variance between studies at which the
# restricted likelihood is highest. R's own optimize looks for a maximum in each of forty stretches of τ²; metafor gives the
# likelihood, and the pooled effect, at the highest of them, at 0, and where its own steps lead. Needs Debian's
# r-cran-metafor and r-cran-jsonlite (made with metafor 3.8-1, metadat 1.2-0):
#   Rscript spec/outside/restricted_likelihood.R > spec/fixtures/metafor/restricted_likelihood.json
# The tests read the file and need no R.
suppressMessages({library(metafor); library(jsonlite)})
set.seed(30)

effects <- function(es) es[!is.na(es$yi) & !is.na(es$vi) & es$vi > 0, c("yi", "vi")]
sets <- list(
  "dat.egger2001" = effects(escalc("RR", ai = ai, n1i = n1i, ci = ci, n2i = n2i, data = dat.egger2001, drop00 = TRUE)),
  "dat.bcg" = effects(escalc("RR", ai = tpos, bi = tneg, ci = cpos, di = cneg, data = dat.bcg, drop00 = TRUE)),
  "dat.hine1989" = effects(escalc("OR", ai = ai, n1i = n1i, ci = ci, n2i = n2i, data = dat.hine1989, drop00 = TRUE)),
  "dat.li2007" = effects(escalc("OR", ai = ai, n1i = n1i, ci = ci, n2i = n2i, data = dat.li2007, drop00 = TRUE)),
  "dat.lau1992" = effects(escalc("OR", ai = ai, n1i = n1i, ci = ci, n2i = n2i, data = dat.lau1992, drop00 = TRUE)),
  "dat.nielweise2007" = effects(escalc("OR", ai = ai, n1i = n1i, ci = ci, n2i = n2i, data = dat.nielweise2007, drop00 = TRUE)),
  "dat.normand1999" = effects(escalc("MD", m1i = m1i, sd1i = sd1i, n1i = n1i, m2i = m2i, sd2i = sd2i, n2i = n2i, data = dat.normand1999, drop00 = TRUE)),
  "dat.hackshaw1998" = dat.hackshaw1998[, c("yi", "vi")],
  "dat.raudenbush1985" = dat.raudenbush1985[, c("yi", "vi")]
)

likelihood <- function(tau2, es) {
  w <- 1 / (es$vi + tau2); mean <- sum(w * es$yi) / sum(w)
  (sum(log(w)) - log(sum(w)) - sum(w * (es$yi - mean)^2)) / 2
}

highest <- function(es) {
  least <- min(es$vi); most <- max(es$vi, diff(range(es$yi))^2)
  ends <- exp(seq(log(least), log(most + least), length.out = 41)) - least
  found <- sapply(1:40, function(place) optimize(likelihood, ends[place + 0:1], es = es, maximum = TRUE, tol = 1e-12 * most)$maximum)
  own <- tryCatch(suppressWarnings(rma(yi, vi, data = es, method = "REML")), error = function(e) NULL)
  candidates <- c(0, found, if (!is.null(own)) own$tau2)
  best <- rma(yi, vi, data = es, method = "REML", tau2 = candidates[which.max(sapply(candidates, likelihood, es = es))])
  reached <- function(fit) fit$fit.stats["ll", "REML"]
  list(tau2 = best$tau2, estimate = best$beta[1], low = best$ci.lb, high = best$ci.ub,
       metafor_missed_it = is.null(own) || reached(own) < reached(best) - 1e-6)
}

tried <- lapply(seq_len(2000), function(turn) {
  name <- if (turn == 1) "dat.egger2001" else sample(names(sets), 1)
  rows <- if (turn == 1) c(1, 3, 5, 6, 14) else sort(sample(nrow(sets[[name]]), sample(3:min(8, nrow(sets[[name]])), 1)))
  c(list(set = name, rows = rows), highest(sets[[name]][rows, ]))
})
cat(toJSON(list(metafor = as.character(packageVersion("metafor")), metadat = as.character(packageVersion("metadat")),
                sets = lapply(sets, function(es) cbind(as.numeric(es$yi), as.numeric(es$vi))), subsets = tried),
           digits = 12, auto_unbox = TRUE, pretty = FALSE))
