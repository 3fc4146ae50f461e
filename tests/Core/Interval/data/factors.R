# Writes factors.json: the mode of factors.learn's posterior, found by R's optim (BFGS from several starts, numeric gradients), and
# the spreads by optim's numeric Hessian. Nothing of the core is used: the function is written down from models.md.
#   Rscript factors.R > factors.json
set.seed(7)
conditions <- c("indoor", "dry", "dusty", "damp", "wet", "muddy")
house <- c(indoor = 0.8, dry = 1, dusty = 1.5, damp = 1.5, wet = 2.5, muddy = 3.5)
prior <- list(median = 300, log_sd = 0.5, shape = 3, shape_log_sd = 0.4)

one <- function(n, kinds, true, log_sd) {
  km <- t(sapply(seq_len(n), function(i) {
    k <- setNames(rep(0, 6), conditions)
    ridden <- unique(c(sample(kinds, 1), sample(kinds, min(2, length(kinds)))))
    k[ridden] <- round(runif(length(ridden), 20, 180))
    k
  }))
  last <- apply(km, 1, function(k) sample(names(k)[k > 0], 1))
  x <- as.vector(km %*% true)
  noise <- x > 320 * rweibull(n, 4, 1)
  minus <- function(p, active) {
    f <- house; f[active] <- exp(p[seq_along(active)]); f["dry"] <- 1
    a <- p[length(active) + 1]; b <- p[length(active) + 2]; k <- exp(b)
    x <- as.vector(km %*% f)
    H <- log(2) * exp(k * (log(x) - a))
    h <- log(2) * k / x * exp(k * (log(x) - a))
    -(sum(ifelse(noise, log(h) + log(f[last]), 0) - H) + sum(dnorm(p[seq_along(active)], log(house[active]), log_sd, log = TRUE)) +
        dnorm(a, log(prior$median), prior$log_sd, log = TRUE) + dnorm(b, log(prior$shape), prior$shape_log_sd, log = TRUE))
  }
  active <- setdiff(conditions[colSums(km) > 0], "dry")
  best <- NULL
  for (start in c(-1, -0.5, 0, 0.5, 1)) {
    p <- c(log(house[active]), log(prior$median), log(prior$shape) + start)
    for (again in 1:4) {
      fit <- optim(p, minus, active = active, method = "BFGS", control = list(reltol = 1e-15, maxit = 5000, ndeps = rep(1e-5, length(p))))
      p <- fit$par
    }
    if (is.null(best) || fit$value < best$value) best <- fit
  }
  H <- optimHess(best$par, minus, active = active, control = list(ndeps = rep(1e-4, length(best$par))))
  sd <- sqrt(diag(solve(H)))
  m <- length(active)
  cycles <- paste(sapply(seq_len(n), function(i) {
    k <- km[i, km[i, ] > 0]
    sprintf('{"km":{%s},"last":"%s","ended":"%s"}', paste(sprintf('"%s":%g', names(km[i, ])[km[i, ] > 0], k), collapse = ","), last[i], ifelse(noise[i], "noise", "pulled"))
  }), collapse = ",")
  sprintf('{"input":{"cycles":[%s],"log_sd":%g,"prior":{"median_km":%g,"log_sd":%g,"shape_median":%g,"shape_log_sd":%g}},"log_factors":{%s},"log_median":%.9f,"log_shape":%.9f,"sd":{%s}}',
    cycles, log_sd, prior$median, prior$log_sd, prior$shape, prior$shape_log_sd,
    paste(sprintf('"%s":%.9f', active, best$par[seq_len(m)]), collapse = ","), best$par[m + 1], best$par[m + 2], paste(sprintf('"%s":%.7f', active, sd[seq_len(m)]), collapse = ","))
}
sets <- list(list(6, c("dry", "wet")), list(12, c("dry", "damp", "wet")), list(25, conditions), list(60, conditions), list(4, c("wet", "muddy")), list(9, c("indoor", "dry", "dusty")), list(1, c("wet")), list(30, c("dry")))
cat("[", paste(sapply(sets, function(s) one(s[[1]], s[[2]], c(0.7, 1, 1.4, 1.8, 3.2, 4), if (s[[1]] > 20) 0.7 else 0.5)), collapse = ",\n"), "]\n")
