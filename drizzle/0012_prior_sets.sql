CREATE TABLE IF NOT EXISTS `prior_set` (
	`id` binary(16) NOT NULL,
	`number` int NOT NULL,
	`learnt_by` binary(16) NOT NULL,
	`learnt_from` varchar(64) NOT NULL,
	`content` longtext NOT NULL,
	`created_at` bigint NOT NULL,
	CONSTRAINT `prior_set_id` PRIMARY KEY(`id`)
);--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `trial_prior_set` (
	`id` binary(16) NOT NULL,
	`trial_id` binary(16) NOT NULL,
	`prior_set_id` binary(16) NOT NULL,
	`first_before` binary(16),
	`first_after` binary(16),
	`created_at` bigint NOT NULL,
	CONSTRAINT `trial_prior_set_id` PRIMARY KEY(`id`)
);--> statement-breakpoint
ALTER TABLE `criteria` ADD COLUMN IF NOT EXISTS `cost_reference` double;--> statement-breakpoint
ALTER TABLE `trial_prior_set`
	ADD CONSTRAINT `trial_prior_set_trial_id_trial_id_fk` FOREIGN KEY IF NOT EXISTS (`trial_id`) REFERENCES `trial` (`id`),
	ADD CONSTRAINT `trial_prior_set_prior_set_id_prior_set_id_fk` FOREIGN KEY IF NOT EXISTS (`prior_set_id`) REFERENCES `prior_set` (`id`),
	ADD CONSTRAINT `trial_prior_set_first_before_spool_id_fk` FOREIGN KEY IF NOT EXISTS (`first_before`) REFERENCES `spool` (`id`),
	ADD CONSTRAINT `trial_prior_set_first_after_spool_id_fk` FOREIGN KEY IF NOT EXISTS (`first_after`) REFERENCES `spool` (`id`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `trial_prior_set_trial` ON `trial_prior_set` (`trial_id`);
