CREATE TABLE IF NOT EXISTS `dryer_check` (
	`id` binary(16) NOT NULL,
	`dryer_id` binary(16) NOT NULL,
	`set_point_c` double NOT NULL,
	`probe_c` double NOT NULL,
	`probe_typed` varchar(120) NOT NULL,
	`at` bigint NOT NULL,
	`zone` varchar(64) NOT NULL,
	`created_at` bigint NOT NULL,
	CONSTRAINT `dryer_check_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
ALTER TABLE `dryer_check` ADD CONSTRAINT `dryer_check_dryer_id_dryer_id_fk` FOREIGN KEY IF NOT EXISTS (`dryer_id`) REFERENCES `dryer`(`id`);
--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `dryer_check_dryer` ON `dryer_check` (`dryer_id`);
