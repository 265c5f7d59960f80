CREATE TABLE IF NOT EXISTS `gauge_study` (
	`id` binary(16) NOT NULL,
	`instrument_id` binary(16) NOT NULL,
	`raters` longtext NOT NULL,
	`readings` longtext NOT NULL,
	`at` bigint NOT NULL,
	`zone` varchar(64) NOT NULL,
	`created_at` bigint NOT NULL,
	`created_by` binary(16),
	CONSTRAINT `gauge_study_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `gauge_study_instrument` ON `gauge_study` (`instrument_id`);