# Writes learn.json: Weibull regressions without covariates of data sets that ship with R's survival package.
#   Rscript learn.R > learn.json
library(survival)
sets <- list(
  lung = with(lung[!is.na(lung$time), ], data.frame(km = time, noise = status == 2)),
  ovarian = with(ovarian, data.frame(km = futime, noise = fustat == 1)),
  veteran = with(veteran, data.frame(km = time, noise = status == 1)),
  stanford2 = with(stanford2[stanford2$time > 0, ], data.frame(km = time, noise = status == 1)),
  aml = with(aml, data.frame(km = time, noise = status == 1)),
  rats = with(rats, data.frame(km = time, noise = status == 1))
)
one <- function(name) {
  d <- sets[[name]]
  f <- survreg(Surv(km, noise) ~ 1, data = d, dist = "weibull", control = survreg.control(rel.tolerance = 1e-14, maxiter = 200))
  q <- predict(f, type = "uquantile", p = 0.2, se.fit = TRUE, newdata = d[1, ])
  cycles <- paste(sprintf('{"km":%g,"ended":"%s"}', d$km, ifelse(d$noise, "noise", "pulled")), collapse = ",")
  sprintf('{"name":"%s","shape":%.10g,"scale_km":%.10g,"interval_km":%.10g,"log_se":%.8g,"cycles":[%s]}',
          name, 1 / f$scale, exp(coef(f)), exp(q$fit), q$se.fit, cycles)
}
cat("[", paste(sapply(names(sets), one), collapse = ",\n"), "]\n")
