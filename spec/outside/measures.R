# What metafor, epiR and R's own qnorm say of measures, conversions and the pooling of tests, for
# spec/core/statistics/measures_spec.rb. Needs Debian's r-cran-metafor, r-cran-epir and r-cran-jsonlite (made with metafor
# 3.8-1, metadat 1.2-0, epiR 2.0.57):
#   Rscript spec/outside/measures.R > spec/fixtures/metafor/measures.json
# The tests read the file and need no R.
suppressMessages({library(metafor); library(epiR); library(jsonlite)})
close <- list(threshold = 1e-12, maxiter = 1000, tol = 1e-14, tau2.max = 1e6)

effects <- function(data, columns, es, back = NULL) {
  reml <- rma(yi, vi, data = es, method = "REML", control = close)
  list(rows = unname(as.matrix(data[, columns])), effects = as.numeric(es$yi), variances = as.numeric(es$vi),
       estimate = reml$beta[1], error = reml$se, tau2 = reml$tau2, q = reml$QE)
}
rates <- function(measure) effects(dat.nielweise2008, c("x1i", "t1i", "x2i", "t2i"),
  escalc(measure = measure, x1i = x1i, t1i = t1i, x2i = x2i, t2i = t2i, data = dat.nielweise2008))
shares <- function(data) effects(data, c("xi", "ni"), escalc(measure = "PLO", xi = xi, ni = ni, data = data))

# Reitsma's model as metafor's multivariate one: log odds of the sensitivity and of the false positives.
bivariate <- function(tests) {
  long <- do.call(rbind, lapply(seq_len(nrow(tests)), function(row) {
    four <- as.numeric(tests[row, ]); if (any(four == 0)) four <- four + 0.5
    data.frame(study = row, kind = c("a", "b"), yi = c(log(four[1] / four[3]), log(four[2] / four[4])),
               vi = c(1 / four[1] + 1 / four[3], 1 / four[2] + 1 / four[4]))
  }))
  fit <- rma.mv(yi, vi, mods = ~ kind - 1, random = ~ kind | study, struct = "UN", data = long, method = "REML",
                control = list(optimizer = "Nelder-Mead", reltol = 1e-16, maxit = 20000))
  list(rows = unname(as.matrix(tests)), middle = as.numeric(fit$beta), errors = fit$se, covariance = fit$vb[1, 2],
       tau2 = fit$tau2, rho = fit$rho)
}
kearon <- with(subset(dat.kearon1998, !is.na(tp) & !is.na(tn)), data.frame(tp = tp, fp = nn - tn, fn = np - tp, tn = tn))

set.seed(16)
tables <- lapply(1:40, function(i) c(sample(1:200, 1), sample(1:200, 1), sample(1:200, 1), sample(1:200, 1)))
tests <- lapply(tables, function(four) {
  said <- epi.tests(four)$detail
  of <- function(name) as.numeric(said[said$statistic == name, 2:4])
  list(cells = four, sensitivity = of("se")[1], specificity = of("sp")[1], positive = of("pv.pos")[1], negative = of("pv.neg")[1],
       positive_ratio = of("lr.pos"), negative_ratio = of("lr.neg"), odds_ratio = of("diag.or")[1])
})
wilson <- lapply(tables, function(four) {
  said <- epi.conf(matrix(c(four[1], sum(four[1:2])), ncol = 2), ctype = "prevalence", method = "wilson", N = 1e9, design = 1, conf.level = 0.95)
  list(events = four[1], total = sum(four[1:2]), interval = as.numeric(said[1, c(1, 3, 4)]))
})

# Wan et al. 2014 and Luo et al. 2018 by their formulas, written once more in R.
spread <- lapply(c(8, 25, 60, 140, 900), function(n) {
  a <- 10; q1 <- 21; m <- 30; q3 <- 44; b <- 90
  quartile <- qnorm((0.75 * n - 0.125) / (n + 0.25)); extreme <- qnorm((n - 0.375) / (n + 0.25))
  w <- 4 / (4 + n^0.75); w1 <- 2.2 / (2.2 + n^0.75); w2 <- 0.7 - 0.72 / n^0.55; w3 <- 0.7 + 0.39 / n
  list(n = n, five = c(a, q1, m, q3, b),
       range = c(w * (a + b) / 2 + (1 - w) * m, (b - a) / (2 * extreme)),
       quartiles = c(w3 * (q1 + q3) / 2 + (1 - w3) * m, (q3 - q1) / (2 * quartile)),
       both = c(w1 * (a + b) / 2 + w2 * (q1 + q3) / 2 + (1 - w1 - w2) * m, (b - a) / (4 * extreme) + (q3 - q1) / (4 * quartile)),
       interval = (44 - 21) / (2 * qt(0.975, n - 1)) * sqrt(n))
})
cat(toJSON(list(rates = list(log_rate_ratio = rates("IRR"), rate_difference = rates("IRD")),
                shares = list("dat.pritz1997" = shares(dat.pritz1997), "five made up" = shares(data.frame(xi = c(0, 3, 20, 44, 18), ni = c(20, 40, 20, 90, 51)))),
                bivariate = list("dat.kearon1998" = bivariate(kearon), "dat.kearon1998, the first twelve" = bivariate(kearon[1:12, ])),
                tests = tests, wilson = wilson, spread = spread), digits = NA, auto_unbox = TRUE))
