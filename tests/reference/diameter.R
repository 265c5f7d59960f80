# Reference values for the diameter station, computed once with base R.
# Run: Rscript tests/reference/diameter.R > tests/reference/diameter.json ; the version used stands in the output.
num <- function(x) paste0("[", paste(format(x, digits = 15, trim = TRUE, scientific = FALSE), collapse = ","), "]")
one <- function(x) format(x, digits = 12, trim = TRUE)

groups <- list(c(1.751, 1.748, 1.753, 1.750, 1.749, 1.752, 1.747, 1.751),
               c(1.742, 1.761, 1.738, 1.755, 1.769, 1.744, 1.752),
               c(1.763, 1.760, 1.766, 1.758, 1.764, 1.762),
               c(1.749, 1.755, 1.746, 1.752, 1.750))

# Brown-Forsythe: analysis of variance on distances from the medians.
d <- unlist(lapply(groups, function(g) abs(g - median(g))))
f <- factor(rep(seq_along(groups), lengths(groups)))
bf <- anova(lm(d ~ f))

# Games-Howell from its definition, with R's studentised range.
pairs <- c()
k <- length(groups)
for (i in 1:(k - 1)) for (j in (i + 1):k) {
  a <- groups[[i]]; b <- groups[[j]]
  va <- var(a) / length(a); vb <- var(b) / length(b)
  df <- (va + vb)^2 / (va^2 / (length(a) - 1) + vb^2 / (length(b) - 1))
  se <- sqrt((va + vb) / 2)
  diff <- mean(a) - mean(b)
  q <- qtukey(0.95, k, df)
  pairs <- c(pairs, sprintf('{"i":%d,"j":%d,"difference":%s,"low":%s,"high":%s,"p":%s}', i - 1, j - 1,
    one(diff), one(diff - q * se), one(diff + q * se), one(ptukey(abs(diff) / se, k, df, lower.tail = FALSE))))
}

# Crossed gauge studies: 5 places, 3 raters, 2 repeats. Mean squares from aov; raters that read alike, and one who reads place 3 high.
y <- c(1.75,1.76, 1.76,1.76, 1.75,1.75,  1.72,1.72, 1.73,1.72, 1.72,1.71,  1.78,1.78, 1.79,1.78, 1.77,1.78,
       1.74,1.75, 1.75,1.75, 1.74,1.74,  1.77,1.76, 1.77,1.77, 1.76,1.76)
y2 <- replace(y, 17:18, c(1.80, 1.81))
place <- factor(rep(1:5, each = 6)); rater <- factor(rep(rep(1:3, each = 2), 5))
study <- function(y) {
  whole <- anova(lm(y ~ place * rater))
  paste0('{"readings":', num(y), ',"meanSquares":', num(whole[["Mean Sq"]]), ',"pInteraction":', one(whole[["Pr(>F)"]][3]),
    ',"pooledMeanSquares":', num(anova(lm(y ~ place + rater))[["Mean Sq"]]), '}')
}

# Readings in spools in lots, unbalanced: mean squares and the expected-mean-square coefficients of Searle et al.
nested <- list(list(c(1.750, 1.752, 1.749), c(1.755, 1.757)), list(c(1.741, 1.743, 1.742, 1.744), c(1.748, 1.747), c(1.739, 1.741, 1.740)), list(c(1.760, 1.758), c(1.751, 1.754, 1.752)))
v <- unlist(nested)
lot <- factor(rep(seq_along(nested), sapply(nested, function(l) length(unlist(l)))))
spool <- factor(unlist(lapply(seq_along(nested), function(i) rep(paste(i, seq_along(nested[[i]])), lengths(nested[[i]])))))
nms <- anova(lm(v ~ lot + spool %in% lot))[["Mean Sq"]]
n <- length(v); nij <- table(spool); ni <- table(lot)
lotOf <- tapply(as.integer(lot), spool, function(x) x[1])
perLot <- sum(tapply(nij^2, lotOf[names(nij)], sum) / ni)
k1 <- (n - perLot) / (length(nij) - length(ni))
k2 <- (perLot - sum(nij^2) / n) / (length(ni) - 1)
k3 <- (n - sum(ni^2) / n) / (length(ni) - 1)
within <- nms[3]; between <- max(0, (nms[2] - within) / k1); lots <- max(0, (nms[1] - within - k2 * between) / k3)

cat('{\n"version":"', R.version.string, '",\n', sep = "")
cat('"groups":[', paste(sapply(groups, num), collapse = ","), '],\n', sep = "")
cat('"brownForsythe":{"f":', one(bf[["F value"]][1]), ',"p":', one(bf[["Pr(>F)"]][1]), '},\n', sep = "")
cat('"gamesHowell":[', paste(pairs, collapse = ","), '],\n', sep = "")
cat('"gauges":[', study(y), ',', study(y2), '],\n', sep = "")
cat('"nested":{"lots":[', paste(sapply(nested, function(l) paste0("[", paste(sapply(l, num), collapse = ","), "]")), collapse = ","), '],"within":', one(within), ',"spools":', one(between), ',"lotsVariance":', one(lots), '}\n}\n', sep = "")
