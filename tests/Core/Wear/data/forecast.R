# Writes forecast.json: posteriors by brute force on a dense grid, and censored regressions by survival::survreg.
library(survival)
set.seed(20261125)
num <- function(x) ifelse(is.na(x), "null", formatC(x, digits = 12, format = "g", width = 1))

# A chain with a true rate, ridden and measured now and then, by a rule, a digital or a drop-in gauge.
chain <- function(n, exactOnly = FALSE) {
  rate <- 0.08 * exp(rnorm(1, 0, 0.5)); e0 <- rnorm(1, 0.02, 0.02)
  km <- sort(round(runif(n, 200, 6000)))
  lapply(km, function(k) {
    e <- e0 + rate * k / 1000
    if (exactOnly || runif(1) < 0.5) { s <- sample(c(0.04, 0.05), 1); return(list(km = k, value = round(e + rnorm(1, 0, s), 3), sigma = s)) }
    seen <- e + rnorm(1, 0, 0.03)
    bounds <- if (seen >= 0.75) c(0.75, NA) else if (seen >= 0.5) c(0.5, 0.75) else if (seen >= 0.4) c(0.4, 0.5) else c(NA, 0.5)
    list(km = k, lower = bounds[1], upper = bounds[2], sigma = 0.03)
  })
}
json <- function(r) if (!is.null(r$value)) sprintf('{"km":%s,"value_pct":%s,"sigma_pct":%s}', num(r$km), num(r$value), num(r$sigma)) else
  sprintf('{"km":%s,"lower_pct":%s,"upper_pct":%s,"sigma_pct":%s}', num(r$km), num(r$lower), num(r$upper), num(r$sigma))

posterior <- function(readings, nowKm, limit) {
  u <- seq(log(0.08) - 4, log(0.08) + 4, length.out = 4001); e0 <- seq(0.02 - 0.16, 0.02 + 0.16, length.out = 801)
  g <- expand.grid(u = u, e0 = e0); r <- exp(g$u)
  lp <- dnorm(g$u, log(0.08), 0.5, log = TRUE) + dnorm(g$e0, 0.02, 0.02, log = TRUE)
  for (x in readings) {
    e <- g$e0 + r * x$km / 1000
    if (!is.null(x$value)) lp <- lp + dnorm(x$value, e, x$sigma, log = TRUE)
    else {
      hi <- if (is.na(x$upper)) rep(Inf, length(e)) else (x$upper - e) / x$sigma
      lo <- if (is.na(x$lower)) rep(-Inf, length(e)) else (x$lower - e) / x$sigma
      flip <- lo + hi > 0
      l <- ifelse(flip, -hi, lo); h <- ifelse(flip, -lo, hi)
      ph <- pnorm(h, log.p = TRUE); pl <- pnorm(l, log.p = TRUE)
      lp <- lp + ph + log1p(-exp(pl - ph))
    }
  }
  w <- exp(lp - max(lp)); w <- w / sum(w)
  keep <- w > 1e-13; w <- w[keep]; r <- r[keep]; e0v <- g$e0[keep]
  quant <- function(v, p) { o <- order(v); c <- cumsum(w[o]) - w[o] / 2; approx(c, v[o], p, rule = 2, ties = "ordered")$y }
  now <- e0v + r * nowKm / 1000
  until <- (limit - e0v) / r * 1000 - nowKm
  list(rate = c(sum(w * r), quant(r, c(0.1, 0.5, 0.9))), initial = sum(w * e0v), now = c(sum(w * now), quant(now, c(0.1, 0.9))),
       km = pmax(0, quant(until, c(0.1, 0.5, 0.9))), past = sum(w[now >= limit]))
}
cases <- list()
for (n in c(1, 2, 3, 5, 8, 13, 21, 40)) {
  readings <- chain(n); nowKm <- max(sapply(readings, `[[`, "km")) + 150; limit <- sample(c(0.5, 0.75), 1)
  p <- posterior(readings, nowKm, limit)
  cases[[length(cases) + 1]] <- sprintf('    {"limit_pct":%s,"now_km":%s,"readings":[%s],\n     "rate":[%s],"initial":%s,"now":[%s],"km":[%s],"past":%s}', num(limit), num(nowKm),
    paste(sapply(readings, json), collapse = ","), paste(num(p$rate), collapse = ","), num(p$initial), paste(num(p$now), collapse = ","), paste(num(p$km), collapse = ","), num(p$past))
}
fits <- list()
for (n in c(2, 4, 9, 30)) for (exactOnly in c(TRUE, FALSE)) {
  readings <- chain(n + 2, exactOnly); s <- 0.04
  lo <- sapply(readings, function(x) if (!is.null(x$value)) x$value else x$lower); hi <- sapply(readings, function(x) if (!is.null(x$value)) x$value else x$upper)
  km <- sapply(readings, `[[`, "km") / 1000
  if (sum(!is.na(lo) & !is.na(hi)) < 2) next
  f <- survreg(Surv(lo, hi, type = "interval2") ~ km, dist = "gaussian", scale = s, control = survreg.control(rel.tolerance = 1e-13, maxiter = 200))
  readings <- lapply(readings, function(x) { x$sigma <- s; x })
  fits[[length(fits) + 1]] <- sprintf('    {"readings":[%s],\n     "initial":%s,"rate":%s,"se_initial":%s,"se_rate":%s}', paste(sapply(readings, json), collapse = ","),
    num(coef(f)[1]), num(coef(f)[2]), num(sqrt(vcov(f)[1, 1])), num(sqrt(vcov(f)[2, 2])))
}
cat(sprintf('{\n  "source": "%s, survival %s",\n  "posterior": [\n%s\n  ],\n  "fit": [\n%s\n  ]\n}\n', R.version.string, packageVersion("survival"), paste(cases, collapse = ",\n"), paste(fits, collapse = ",\n")), file = "forecast.json")
