# Reference values for Weibull fits with exact, interval-, left- and right-censored strengths, computed once.
#
# Run: Rscript tests/reference/weibull.R > tests/reference/weibull.json
# Needs Debian's r-base-core and r-cran-survival; the versions used stand in the output.
library(survival)

number <- function(x) if (is.na(x) || is.infinite(x)) "null" else format(x, digits = 15)

one <- function(name, low, high) {
  # interval2: low = high is exact, high NA is right-censored, low NA is left-censored
  y <- Surv(ifelse(low == 0, NA, low), ifelse(is.infinite(high), NA, high), type = "interval2")
  fit <- survreg(y ~ 1, dist = "weibull")
  mu <- unname(coef(fit)[1])
  sigma <- fit$scale
  se <- sqrt(diag(fit$var))
  v <- fit$var
  slope <- sigma * digamma(1 + sigma)
  se_log_mean <- sqrt(v[1, 1] + 2 * slope * v[1, 2] + slope^2 * v[2, 2])
  observations <- paste(sprintf("{\"low\": %s, \"high\": %s}", sapply(low, number), sapply(high, number)), collapse = ", ")
  sprintf(
    "{\"name\": \"%s\", \"observations\": [%s], \"scale\": %s, \"shape\": %s, \"logLikelihood\": %s, \"mean\": %s, \"logMeanStandardError\": %s, \"seLogScale\": %s, \"seLogSigma\": %s}",
    name, observations, number(exp(mu)), number(1 / sigma), number(fit$loglik[2]), number(exp(mu + lgamma(1 + sigma))),
    number(se_log_mean), number(se[1]), number(se[2])
  )
}

exact <- c(102, 118, 121, 96, 130, 109, 114)
cases <- c(
  one("all exact", exact, exact),
  one("survivors among them", c(102, 118, 121, 96, 130, 130), c(102, 118, 121, 96, Inf, Inf)),
  one("bucket steps", c(88.96, 88.96, 111.2, 66.72, 111.2), c(111.2, 111.2, 133.4, 88.96, 133.4)),
  one("steps, a survivor and one that broke at once", c(88.96, 111.2, 66.72, 133.4, 0), c(111.2, 133.4, 88.96, Inf, 44.48)),
  one("mixed", c(102, 88.96, 150, 0, 121), c(102, 111.2, Inf, 95, 121))
)
cat(sprintf(
  "{\"versions\": {\"R\": \"%s\", \"survival\": \"%s\"},\n\"fits\": [\n%s\n]}\n",
  paste(R.version$major, R.version$minor, sep = "."), as.character(packageVersion("survival")), paste(cases, collapse = ",\n")
))
