# What metafor says of ten open data sets of metadat, for the specs of pooling. Needs Debian's r-cran-metafor and
# r-cran-jsonlite (made with metafor 3.8-1, metadat 1.2-0):
#   Rscript spec/outside/metafor.R > spec/fixtures/metafor/pooling.json
# The tests read the file and need no R.
suppressMessages({library(metafor); library(jsonlite)})
close <- list(threshold = 1e-12, maxiter = 1000, tol = 1e-14, tau2.max = 1e6)

said <- function(fit) {
  spread <- if (fit$method == "FE" || fit$method == "EE") NULL else confint(fit, control = list(tol = 1e-14, tau2.max = 1e6, maxiter = 10000))$random
  new <- if (is.null(spread) || fit$k < 3) NULL else fit$beta[1] + c(-1, 1) * qt(0.975, fit$k - 2) * sqrt(fit$se^2 + fit$tau2)
  list(estimate = fit$beta[1], error = fit$se, low = fit$ci.lb, high = fit$ci.ub, statistic = fit$zval, p = fit$pval,
       tau2 = fit$tau2, i2 = fit$I2 / 100, q = fit$QE, q_p = fit$QEp, weights = weights(fit) / 100,
       prediction = new,
       tau2_interval = if (is.null(spread)) NULL else spread["tau^2", 2:3],
       i2_interval = if (is.null(spread)) NULL else spread["I^2(%)", 2:3] / 100)
}

# Peters' test as R's own lm gives it (R package meta weighs it so, too; from memory).
peters <- function(effects, data) {
  events <- data$ai + data$ci; others <- data$bi + data$di
  fit <- summary(lm(effects ~ I(1 / (events + others)), weights = 1 / (1 / events + 1 / others)))
  list(t = fit$coefficients[2, 3], df = fit$df[2], p = fit$coefficients[2, 4], limit = fit$coefficients[1, 1])
}

generic <- function(es) {
  fits <- lapply(list(fixed = "FE", dl = "DL", reml = "REML", pm = "PM"), function(how) said(rma(yi, vi, data = es, method = how, control = close)))
  reml <- rma(yi, vi, data = es, method = "REML", control = close)
  knapp <- rma(yi, vi, data = es, method = "REML", test = "knha", control = close)
  adhoc <- rma(yi, vi, data = es, method = "REML", test = "adhoc", control = close)
  ends <- function(lines) cbind(lines$estimate, lines$ci.lb, lines$ci.ub)
  egger <- regtest(reml, model = "lm")
  list(effects = as.numeric(es$yi), variances = as.numeric(es$vi), fits = c(fits, list(knapp = said(knapp), adhoc = said(rma(yi, vi, data = es, method = "REML", test = "adhoc", control = close)))),
       leave_one_out = leave1out(reml)$estimate, cumulative = cumul(rma(yi, vi, data = es, method = "DL"))$estimate,
       leave_one_out_knapp = ends(leave1out(adhoc)), cumulative_knapp = ends(cumul(adhoc)),
       egger = list(t = egger$zval, df = egger$dfs, p = egger$pval))
}

counts <- function(data, measure) {
  es <- escalc(measure = measure, ai = data$ai, bi = data$bi, ci = data$ci, di = data$di, drop00 = measure != "RD", add = if (measure == "PETO") 0 else 1 / 2)
  keep <- !is.na(es$yi)
  other <- switch(measure, RR = "log_risk_ratio", OR = "log_odds_ratio", RD = "risk_difference", PETO = "peto_log_odds_ratio")
  pooled <- if (measure == "PETO") rma.peto(ai = data$ai, bi = data$bi, ci = data$ci, di = data$di)
            else rma.mh(measure = measure, ai = data$ai, bi = data$bi, ci = data$ci, di = data$di, correct = FALSE)
  c(list(kind = "counts", measure = other, cells = as.matrix(data[, c("ai", "bi", "ci", "di")])),
    generic(es[keep, ]),
    list(peters = if (measure %in% c("RR", "OR")) peters(es$yi[keep], data[keep, ]) else NULL),
    list(pooled = list(estimate = pooled$beta[1], error = pooled$se, q = pooled$QE)))
}

means <- function(data, measure) {
  es <- escalc(measure = measure, m1i = m1i, sd1i = sd1i, n1i = n1i, m2i = m2i, sd2i = sd2i, n2i = n2i, data = data, vtype = "LS")
  c(list(kind = "means", measure = if (measure == "MD") "difference" else "standardized",
         groups = as.matrix(data[, c("n1i", "m1i", "sd1i", "n2i", "m2i", "sd2i")])), generic(es))
}

cells <- function(data) { data$bi <- data$n1i - data$ai; data$di <- data$n2i - data$ci; data }
bcg <- with(dat.bcg, data.frame(ai = tpos, bi = tneg, ci = cpos, di = cneg))
yusuf <- cells(subset(dat.yusuf1985, table == "6" & !is.na(ai)))
sets <- list(
  "dat.bcg, RR" = counts(bcg, "RR"), "dat.bcg, OR" = counts(bcg, "OR"), "dat.bcg, RD" = counts(bcg, "RD"),
  "dat.yusuf1985 table 6, Peto" = counts(yusuf, "PETO"), "dat.yusuf1985 table 6, OR" = counts(yusuf, "OR"),
  "dat.li2007, OR" = counts(cells(dat.li2007), "OR"),
  "dat.hine1989, OR" = counts(cells(dat.hine1989), "OR"), "dat.hine1989, RD" = counts(cells(dat.hine1989), "RD"),
  "dat.lee2004, RR" = counts(cells(dat.lee2004), "RR"), "dat.nielweise2007, OR" = counts(cells(dat.nielweise2007), "OR"),
  "dat.normand1999, MD" = means(dat.normand1999, "MD"), "dat.normand1999, SMD" = means(dat.normand1999, "SMD"),
  "dat.gibson2002, MD" = means(dat.gibson2002[!is.na(dat.gibson2002$m1i), ], "MD"),
  "dat.hackshaw1998, ready made" = c(list(kind = "ready"), generic(dat.hackshaw1998)),
  "dat.raudenbush1985, ready made" = c(list(kind = "ready"), generic(dat.raudenbush1985))
)
alloc <- rma(yi, vi, data = escalc(measure = "RR", ai = tpos, bi = tneg, ci = cpos, di = cneg, data = dat.bcg), method = "REML")
by <- lapply(split(seq_len(13), dat.bcg$alloc), function(rows) rma(alloc$yi[rows], alloc$vi[rows], method = "REML", control = close))
between <- rma(sapply(by, function(fit) fit$beta[1]), sapply(by, function(fit) fit$se^2), method = "FE")
cat(toJSON(list(metafor = as.character(packageVersion("metafor")), metadat = as.character(packageVersion("metadat")), sets = sets,
                groups = list(labels = as.character(dat.bcg$alloc), between = between$QE, p = between$QEp)),
           digits = NA, auto_unbox = TRUE, null = "null", pretty = FALSE))
