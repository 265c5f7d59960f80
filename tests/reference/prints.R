# Reference values of the prints station, computed once: Rscript tests/reference/prints.R > tests/reference/prints.json
one <- function(x) format(x, digits = 15)
num <- function(x) paste0("[", paste(sapply(x, one), collapse = ","), "]")
txt <- function(x) paste0('["', paste(x, collapse = '","'), '"]')

# Printer effects: five spools, three printers, unbalanced; one spool on one printer only.
d <- data.frame(
  spool = c("a","a","a","a","b","b","b","c","c","d","d","d","e","e"),
  printer = c("N","N","S","S","N","S","S","N","S","N","T","T","S","S"),
  value = c(65,60,60,55,70,65,60,55,55,60,70,65,50,45))
d$printer <- relevel(factor(d$printer), "N")
fit <- lm(value ~ spool + printer, d)
s <- summary(fit)$coefficients[c("printerS", "printerT"), ]
ci <- confint(fit)[c("printerS", "printerT"), ]
cat('{\n"version":"', R.version.string, '",\n', sep = "")
cat('"printers":{"spool":', txt(as.character(d$spool)), ',"printer":', txt(as.character(d$printer)), ',"value":', num(d$value),
  ',"shift":', num(s[, 1]), ',"standardError":', num(s[, 2]), ',"low":', num(ci[, 1]), ',"high":', num(ci[, 2]), ',"df":', fit$df.residual, '},\n', sep = "")

# Paired before and after, with ties and zeros: exact signed rank by enumeration of all signs (as in exactRankTests), mid-ranks, zeros left out.
exactSigned <- function(d) {
  d <- d[d != 0]; r <- rank(abs(d)); w <- sum(r[d > 0]); n <- length(d)
  all <- as.matrix(expand.grid(rep(list(c(0, 1)), n))) %*% r
  c(w = w, p = min(1, 2 * min(mean(all <= w + 1e-9), mean(all >= w - 1e-9))), n = n)
}
noTies <- c(5.1, -1.2, 3.3, 2.2, 0.7, 4.0, -0.4, 1.9)
withTies <- c(5, 5, 0, 10, -5, 5, 10, 0, 5, -5, 5)
w1 <- wilcox.test(noTies, exact = TRUE); w2 <- exactSigned(withTies)
cat('"wilcoxon":{"noTies":', num(noTies), ',"v":', one(w1$statistic), ',"p":', one(w1$p.value), ',"withTies":', num(withTies), ',"vTies":', one(w2["w"]), ',"pTies":', one(w2["p"]), ',"nTies":', one(w2["n"]), '},\n', sep = "")

# McNemar, exact: two-sided binomial of the discordant pairs.
cat('"mcnemar":[', paste(sapply(list(c(1, 8), c(0, 5), c(6, 6), c(3, 11)), function(b) paste0('{"gained":', b[1], ',"lost":', b[2], ',"p":', one(binom.test(b[1], sum(b))$p.value), '}')), collapse = ","), '],\n', sep = "")

# Weighted kappa with quadratic weights (Cohen 1968), standard error by Fleiss, Cohen & Everitt 1969.
kappa <- function(t) {
  n <- sum(t); p <- t / n; k <- nrow(p); w <- 1 - outer(1:k, 1:k, function(i, j) (i - j)^2 / (k - 1)^2)
  r <- rowSums(p); c <- colSums(p); po <- sum(w * p); pe <- sum(w * outer(r, c)); kap <- (po - pe) / (1 - pe)
  wr <- as.vector(w %*% c); wc <- as.vector(t(w) %*% r)
  v <- (sum(p * (w - outer(wr, wc, "+") * (1 - kap))^2) - (kap - pe * (1 - kap))^2) / (n * (1 - pe)^2)
  c(kap, sqrt(v))
}
table4 <- matrix(c(11, 3, 1, 0, 4, 9, 3, 0, 1, 2, 8, 2, 0, 1, 2, 7), 4, byrow = TRUE)
kk <- kappa(table4)
cat('"kappa":{"table":[', paste(apply(table4, 1, num), collapse = ","), '],"kappa":', one(kk[1]), ',"standardError":', one(kk[2]), '}\n}\n', sep = "")
