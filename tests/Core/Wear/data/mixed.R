# Writes mixed.json: posteriors of 200 random mixed inputs by brute force: 1,501 rates (ln r) x 1,501 e0 around the likeliest of each, summed.
set.seed(20261127)
num <- function(x) ifelse(is.na(x), "null", formatC(x, digits = 10, format = "g", width = 1))
between <- function(lower, upper, e, sigma) {
  hi <- if (is.na(upper)) rep(Inf, length(e)) else (upper - e) / sigma
  lo <- if (is.na(lower)) rep(-Inf, length(e)) else (lower - e) / sigma
  flip <- lo + hi > 0
  l <- ifelse(flip, -hi, lo); h <- ifelse(flip, -lo, hi)
  ph <- pnorm(h, log.p = TRUE); ph + log1p(-exp(pnorm(l, log.p = TRUE) - ph))
}
random <- function() {
  prior <- list(median = exp(runif(1, log(0.02), log(0.3))), log_sd = exp(runif(1, log(0.1), log(1.5))), mean = runif(1, -0.02, 0.05), sd = exp(runif(1, log(0.002), log(0.05))))
  rate <- prior$median * exp(rnorm(1, 0, prior$log_sd)); e0 <- rnorm(1, prior$mean, prior$sd)
  readings <- lapply(sort(round(runif(sample(0:8, 1), 50, 6000))), function(k) {
    e <- e0 + rate * k / 1000
    if (runif(1) < 0.45) { s <- exp(runif(1, log(0.005), log(0.1))); return(list(km = k, value = round(e + rnorm(1, 0, s), 4), sigma = signif(s, 4))) }
    s <- signif(exp(runif(1, log(0.001), log(0.06))), 4); seen <- e + rnorm(1, 0, s)
    marks <- sort(c(0.25, 0.4, 0.5, 0.75, 1, 1.5))
    list(km = k, lower = if (any(marks <= seen)) max(marks[marks <= seen]) else NA, upper = if (any(marks > seen)) min(marks[marks > seen]) else NA, sigma = s)
  })
  list(prior = lapply(prior, signif, 4), readings = readings, limit = round(runif(1, 0.3, 1), 2), now = max(0, unlist(lapply(readings, `[[`, "km"))) + round(runif(1, 0, 2000)))
}
density <- function(case, u, e0) {
  r <- exp(u); p <- case$prior
  lp <- -0.5 * ((u - log(p$median)) / p$log_sd)^2 - 0.5 * ((e0 - p$mean) / p$sd)^2
  for (x in case$readings) {
    e <- e0 + r * x$km / 1000
    lp <- lp + if (!is.null(x$value)) -0.5 * ((x$value - e) / x$sigma)^2 else between(x$lower, x$upper, e, x$sigma)
  }
  lp
}
solve <- function(case) {
  p <- case$prior
  # At one rate e0 is a normal cut by edges, concave in the logarithm: no wider than the normal, and its top is found by a search.
  exact <- unlist(lapply(case$readings, function(x) if (is.null(x$value)) NULL else 1 / x$sigma^2)); half <- 7.5 / sqrt(1 / p$sd^2 + sum(exact))
  best <- function(u) {
    at <- sapply(c(list(list(km = 0, value = p$mean, sigma = 1)), case$readings), function(x) c(x$value, x$lower, x$upper)[!is.na(c(x$value, x$lower, x$upper))][1] - exp(u) * x$km / 1000)
    optimize(function(e) density(case, u, e), range(at) + c(-10, 10) * p$sd, maximum = TRUE, tol = 1e-9)
  }
  u <- seq(log(p$median) - 9 * p$log_sd, log(p$median) + 9 * p$log_sd, length.out = 401)
  for (zoom in 1:6) {
    top <- sapply(u, function(one) best(one)$objective); keep <- range(which(top > max(top) - 24))
    u <- seq(u[max(1, keep[1] - 1)], u[min(length(u), keep[2] + 1)], length.out = if (zoom == 6) 1501 else 201)
  }
  middle <- sapply(u, function(one) best(one)$maximum)
  e0 <- rep(middle, each = 1501) + rep(seq(-half, half, length.out = 1501), length(u)); us <- rep(u, each = 1501)
  lp <- density(case, us, e0); keep <- lp > max(lp) - 24; w <- exp(lp[keep] - max(lp)); e0 <- e0[keep]; r <- exp(us[keep]); all <- sum(w); w <- w / all
  mass <- colSums(matrix(exp(lp - max(lp)), nrow = 1501)) / all
  ofRate <- function(q) exp(approx(cumsum(mass) - mass / 2, u, q, ties = "ordered")$y)
  cut <- function(x, q) { o <- order(x); c <- cumsum(w[o]) - w[o] / 2; approx(c, x[o], q, rule = 2, ties = "ordered")$y }
  now <- e0 + r * case$now / 1000; until <- (case$limit - e0) / r * 1000 - case$now
  km <- pmax(0, cut(until, c(0.1, 0.5, 0.9))); km[km > 100000] <- NA
  list(rate = c(sum(w * r), ofRate(c(0.1, 0.5, 0.9))), initial = sum(w * e0), now = c(sum(w * now), cut(now, c(0.1, 0.9))), km = km, past = sum(w[now >= case$limit]))
}
reading <- function(r) if (!is.null(r$value)) sprintf('{"km":%s,"value_pct":%s,"sigma_pct":%s}', num(r$km), num(r$value), num(r$sigma)) else
  sprintf('{"km":%s,"lower_pct":%s,"upper_pct":%s,"sigma_pct":%s}', num(r$km), num(r$lower), num(r$upper), num(r$sigma))
all <- lapply(1:200, function(i) random())
lines <- unlist(parallel::mclapply(all, function(case) {
  s <- solve(case); p <- case$prior
  sprintf('  {"input":{"limit_pct":%s,"now_km":%s,"readings":[%s],"prior":{"rate_pct_per_1000km":{"median":%s,"log_sd":%s},"initial_pct":{"mean":%s,"sd":%s}}},\n   "rate":[%s],"initial":%s,"now":[%s],"km":[%s],"past":%s}',
    num(case$limit), num(case$now), paste(sapply(case$readings, reading), collapse = ","), num(p$median), num(p$log_sd), num(p$mean), num(p$sd),
    paste(num(s$rate), collapse = ","), num(s$initial), paste(num(s$now), collapse = ","), paste(num(s$km), collapse = ","), num(s$past))
}, mc.cores = 2, mc.preschedule = FALSE))
cat(paste0("[\n", paste(lines, collapse = ",\n"), "\n]\n"), file = "mixed.json")
