# Writes normal.json: R's own normal distribution, to 17 digits.
z <- c(-38, -20, -8.5, -5, -3, -1.5, -0.66, -0.1, 0, 0.1, 0.66, 1.5, 3, 5, 8.5)
p <- c(1e-12, 0.001, 0.1, 0.25, 0.5, 0.8, 0.9, 0.999, 1 - 1e-9)
row <- function(x, y) paste0("[", formatC(x, digits = 17, format = "g"), ", ", formatC(y, digits = 17, format = "g"), "]", collapse = ",\n    ")
cat("{\n  \"source\": \"", R.version.string, "\",\n",
    "  \"cdf\": [\n    ", row(z, pnorm(z)), "],\n",
    "  \"log_cdf\": [\n    ", row(z, pnorm(z, log.p = TRUE)), "],\n",
    "  \"quantile\": [\n    ", row(p, qnorm(p)), "]\n}\n", sep = "", file = "normal.json")
