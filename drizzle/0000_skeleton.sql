CREATE TABLE IF NOT EXISTS `amendment` (
	`id` binary(16) NOT NULL,
	`spool_id` binary(16) NOT NULL,
	`target_kind` varchar(16) NOT NULL,
	`target_id` binary(16) NOT NULL,
	`range_from` int,
	`range_to` int,
	`action` varchar(16) NOT NULL,
	`undoes_id` binary(16),
	`replacement` longtext,
	`reason` varchar(500) NOT NULL,
	`at` bigint NOT NULL,
	`created_at` bigint NOT NULL,
	`created_by` binary(16),
	CONSTRAINT `amendment_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `attempt` (
	`id` binary(16) NOT NULL,
	`spool_id` binary(16) NOT NULL,
	`piece_id` binary(16) NOT NULL,
	`printer_id` binary(16),
	`at` bigint NOT NULL,
	`zone` varchar(64) NOT NULL,
	`outcome` varchar(16) NOT NULL,
	`percent_reached` double NOT NULL,
	`cause` varchar(16),
	`settings` longtext NOT NULL,
	`settings_policy` varchar(16),
	`grams_g` double,
	`minutes` double,
	`created_at` bigint NOT NULL,
	`created_by` binary(16),
	CONSTRAINT `attempt_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `claim` (
	`id` binary(16) NOT NULL,
	`filament_id` binary(16) NOT NULL,
	`quantity` varchar(40) NOT NULL,
	`source` varchar(16) NOT NULL,
	`value` double NOT NULL,
	`typed_text` varchar(120) NOT NULL,
	`typed_unit` varchar(16) NOT NULL,
	`created_at` bigint NOT NULL,
	`created_by` binary(16),
	CONSTRAINT `claim_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `criteria` (
	`id` binary(16) NOT NULL,
	`trial_id` binary(16) NOT NULL,
	`version` int NOT NULL,
	`items` longtext NOT NULL,
	`created_at` bigint NOT NULL,
	`created_by` binary(16),
	CONSTRAINT `criteria_id` PRIMARY KEY(`id`),
	CONSTRAINT `criteria_version` UNIQUE(`trial_id`,`version`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `dryer` (
	`id` binary(16) NOT NULL,
	`name` varchar(120) NOT NULL,
	`set_point_low_c` double,
	`set_point_high_c` double,
	`created_at` bigint NOT NULL,
	`created_by` binary(16),
	CONSTRAINT `dryer_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `event` (
	`id` binary(16) NOT NULL,
	`spool_id` binary(16) NOT NULL,
	`kind` varchar(16) NOT NULL,
	`at` bigint NOT NULL,
	`ended_at` bigint,
	`zone` varchar(64) NOT NULL,
	`place_id` binary(16),
	`dryer_id` binary(16),
	`detail` longtext,
	`created_at` bigint NOT NULL,
	`created_by` binary(16),
	CONSTRAINT `event_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `filament` (
	`id` binary(16) NOT NULL,
	`maker_id` binary(16) NOT NULL,
	`name` varchar(120) NOT NULL,
	`material` varchar(40) NOT NULL,
	`variant` varchar(120),
	`created_at` bigint NOT NULL,
	`created_by` binary(16),
	CONSTRAINT `filament_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `house_spool` (
	`id` binary(16) NOT NULL,
	`spool_id` binary(16) NOT NULL,
	`created_at` bigint NOT NULL,
	`created_by` binary(16),
	CONSTRAINT `house_spool_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `instrument` (
	`id` binary(16) NOT NULL,
	`name` varchar(120) NOT NULL,
	`quantity` varchar(40) NOT NULL,
	`resolution` double,
	`error_limit` double,
	`created_at` bigint NOT NULL,
	`created_by` binary(16),
	CONSTRAINT `instrument_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `instrument_check` (
	`id` binary(16) NOT NULL,
	`instrument_id` binary(16) NOT NULL,
	`reference` double NOT NULL,
	`bias` double NOT NULL,
	`repeatability` double,
	`n` int NOT NULL,
	`at` bigint NOT NULL,
	`created_at` bigint NOT NULL,
	`created_by` binary(16),
	CONSTRAINT `instrument_check_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `lot` (
	`id` binary(16) NOT NULL,
	`filament_id` binary(16) NOT NULL,
	`code` varchar(120) NOT NULL,
	`created_at` bigint NOT NULL,
	`created_by` binary(16),
	CONSTRAINT `lot_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `maker` (
	`id` binary(16) NOT NULL,
	`name` varchar(120) NOT NULL,
	`created_at` bigint NOT NULL,
	`created_by` binary(16),
	CONSTRAINT `maker_id` PRIMARY KEY(`id`),
	CONSTRAINT `maker_name` UNIQUE(`name`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `note` (
	`id` binary(16) NOT NULL,
	`spool_id` binary(16) NOT NULL,
	`target_kind` varchar(16) NOT NULL,
	`target_id` binary(16) NOT NULL,
	`text` varchar(2000) NOT NULL,
	`at` bigint NOT NULL,
	`zone` varchar(64) NOT NULL,
	`created_at` bigint NOT NULL,
	`created_by` binary(16),
	CONSTRAINT `note_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `own_measure` (
	`id` binary(16) NOT NULL,
	`trial_id` binary(16) NOT NULL,
	`name` varchar(120) NOT NULL,
	`unit` varchar(16) NOT NULL,
	`direction` varchar(16) NOT NULL,
	`scale_low` double NOT NULL,
	`scale_high` double NOT NULL,
	`created_at` bigint NOT NULL,
	`created_by` binary(16),
	CONSTRAINT `own_measure_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `photo` (
	`id` binary(16) NOT NULL,
	`spool_id` binary(16) NOT NULL,
	`target_kind` varchar(16) NOT NULL,
	`target_id` binary(16) NOT NULL,
	`media_type` varchar(40) NOT NULL,
	`bytes` mediumblob NOT NULL,
	`at` bigint NOT NULL,
	`created_at` bigint NOT NULL,
	`created_by` binary(16),
	CONSTRAINT `photo_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `piece` (
	`id` binary(16) NOT NULL,
	`family_id` binary(16) NOT NULL,
	`version` int NOT NULL,
	`name` varchar(120) NOT NULL,
	`overhang_step_deg` double,
	`bridge_step_mm` double,
	`grams_g` double,
	`created_at` bigint NOT NULL,
	`created_by` binary(16),
	CONSTRAINT `piece_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `place` (
	`id` binary(16) NOT NULL,
	`name` varchar(120) NOT NULL,
	`kind` varchar(16) NOT NULL,
	`created_at` bigint NOT NULL,
	`created_by` binary(16),
	CONSTRAINT `place_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `printer` (
	`id` binary(16) NOT NULL,
	`name` varchar(120) NOT NULL,
	`nozzle` varchar(120) NOT NULL,
	`created_at` bigint NOT NULL,
	`created_by` binary(16),
	CONSTRAINT `printer_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `protocol` (
	`id` binary(16) NOT NULL,
	`trial_id` binary(16) NOT NULL,
	`version` int NOT NULL,
	`settings_policy` varchar(16) NOT NULL,
	`condition_policy` varchar(16) NOT NULL,
	`value_rule` varchar(16) NOT NULL,
	`main_piece_id` binary(16) NOT NULL,
	`printer_id` binary(16),
	`repeats` int NOT NULL,
	`diameter_places` int NOT NULL,
	`diameter_directions` int NOT NULL,
	`created_at` bigint NOT NULL,
	`created_by` binary(16),
	CONSTRAINT `protocol_id` PRIMARY KEY(`id`),
	CONSTRAINT `protocol_version` UNIQUE(`trial_id`,`version`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `purchase` (
	`id` binary(16) NOT NULL,
	`spool_id` binary(16) NOT NULL,
	`quote_id` binary(16) NOT NULL,
	`created_at` bigint NOT NULL,
	`created_by` binary(16),
	CONSTRAINT `purchase_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `quote` (
	`id` binary(16) NOT NULL,
	`filament_id` binary(16) NOT NULL,
	`price_minor` int NOT NULL,
	`shipping_minor` int NOT NULL,
	`currency` varchar(3) NOT NULL,
	`quantity` int NOT NULL,
	`net_mass_g` double NOT NULL,
	`kind` varchar(16) NOT NULL,
	`seen_at` bigint NOT NULL,
	`zone` varchar(64) NOT NULL,
	`created_at` bigint NOT NULL,
	`created_by` binary(16),
	CONSTRAINT `quote_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `reading` (
	`id` binary(16) NOT NULL,
	`spool_id` binary(16) NOT NULL,
	`station` varchar(32) NOT NULL,
	`quantity` varchar(40) NOT NULL,
	`value` double,
	`typed_text` varchar(120) NOT NULL,
	`typed_unit` varchar(16) NOT NULL,
	`resolution` double,
	`instrument_id` binary(16),
	`instrument_check_id` binary(16),
	`taken_at` bigint NOT NULL,
	`zone` varchar(64) NOT NULL,
	`room_temperature_c` double,
	`room_humidity_pct` double,
	`place_index` int,
	`position_m` double,
	`direction` varchar(16),
	`attempt_id` binary(16),
	`specimen_id` binary(16),
	`event_id` binary(16),
	`own_measure_id` binary(16),
	`created_at` bigint NOT NULL,
	`created_by` binary(16),
	CONSTRAINT `reading_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `series` (
	`id` binary(16) NOT NULL,
	`spool_id` binary(16),
	`station` varchar(32) NOT NULL,
	`quantity` varchar(40) NOT NULL,
	`unit` varchar(16) NOT NULL,
	`axis` longtext NOT NULL,
	`samples` int NOT NULL,
	`committed` boolean NOT NULL,
	`started_at` bigint NOT NULL,
	`zone` varchar(64) NOT NULL,
	`created_at` bigint NOT NULL,
	`created_by` binary(16),
	CONSTRAINT `series_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `series_chunk` (
	`series_id` binary(16) NOT NULL,
	`position` int NOT NULL,
	`samples` int NOT NULL,
	`bytes` mediumblob NOT NULL,
	CONSTRAINT `series_chunk_series_id_position_pk` PRIMARY KEY(`series_id`,`position`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `server` (
	`id` binary(16) NOT NULL,
	`created_at` bigint NOT NULL,
	CONSTRAINT `server_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `specimen` (
	`id` binary(16) NOT NULL,
	`spool_id` binary(16) NOT NULL,
	`attempt_id` binary(16),
	`piece_id` binary(16),
	`orientation` varchar(16),
	`at` bigint NOT NULL,
	`zone` varchar(64) NOT NULL,
	`created_at` bigint NOT NULL,
	`created_by` binary(16),
	CONSTRAINT `specimen_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `spool` (
	`id` binary(16) NOT NULL,
	`filament_id` binary(16) NOT NULL,
	`lot_id` binary(16),
	`bench_code` varchar(8) NOT NULL,
	`colour_name` varchar(120),
	`colour_hex` varchar(7),
	`obtained` varchar(16),
	`reel_material` varchar(16),
	`revision` int NOT NULL DEFAULT 1,
	`created_at` bigint NOT NULL,
	`created_by` binary(16),
	CONSTRAINT `spool_id` PRIMARY KEY(`id`),
	CONSTRAINT `spool_bench_code` UNIQUE(`bench_code`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `tester` (
	`id` binary(16) NOT NULL,
	`name` varchar(120) NOT NULL,
	`created_at` bigint NOT NULL,
	`created_by` binary(16),
	CONSTRAINT `tester_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `trial` (
	`id` binary(16) NOT NULL,
	`name` varchar(120) NOT NULL,
	`question` varchar(2000),
	`preset` varchar(32) NOT NULL,
	`currency` varchar(3) NOT NULL,
	`blind` boolean NOT NULL DEFAULT false,
	`revision` int NOT NULL DEFAULT 1,
	`created_at` bigint NOT NULL,
	`created_by` binary(16),
	CONSTRAINT `trial_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `trial_spool` (
	`trial_id` binary(16) NOT NULL,
	`spool_id` binary(16) NOT NULL,
	`role` varchar(16) NOT NULL,
	`position` int NOT NULL,
	`created_at` bigint NOT NULL,
	`created_by` binary(16),
	CONSTRAINT `trial_spool_trial_id_spool_id_pk` PRIMARY KEY(`trial_id`,`spool_id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `verdict` (
	`id` binary(16) NOT NULL,
	`trial_id` binary(16) NOT NULL,
	`spool_id` binary(16) NOT NULL,
	`kind` varchar(16) NOT NULL,
	`buy_for` varchar(120),
	`note` varchar(2000),
	`snapshot` longtext NOT NULL,
	`core_version` varchar(16) NOT NULL,
	`at` bigint NOT NULL,
	`zone` varchar(64) NOT NULL,
	`created_at` bigint NOT NULL,
	`created_by` binary(16),
	CONSTRAINT `verdict_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `write_log` (
	`id` binary(16) NOT NULL,
	`kind` varchar(32) NOT NULL,
	`body_hash` binary(32) NOT NULL,
	`answer` longtext NOT NULL,
	`at` bigint NOT NULL,
	CONSTRAINT `write_log_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `amendment_spool` ON `amendment` (`spool_id`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `amendment_target` ON `amendment` (`target_id`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `attempt_spool` ON `attempt` (`spool_id`,`at`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `claim_filament` ON `claim` (`filament_id`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `event_spool` ON `event` (`spool_id`,`at`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `filament_maker` ON `filament` (`maker_id`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `instrument_check_instrument` ON `instrument_check` (`instrument_id`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `lot_filament` ON `lot` (`filament_id`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `note_spool` ON `note` (`spool_id`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `note_target` ON `note` (`target_id`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `own_measure_trial` ON `own_measure` (`trial_id`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `photo_target` ON `photo` (`target_id`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `purchase_spool` ON `purchase` (`spool_id`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `quote_filament` ON `quote` (`filament_id`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `reading_spool` ON `reading` (`spool_id`,`station`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `reading_attempt` ON `reading` (`attempt_id`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `series_spool` ON `series` (`spool_id`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `specimen_spool` ON `specimen` (`spool_id`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `spool_filament` ON `spool` (`filament_id`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `trial_spool_spool` ON `trial_spool` (`spool_id`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `verdict_trial` ON `verdict` (`trial_id`);--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `verdict_spool` ON `verdict` (`spool_id`);