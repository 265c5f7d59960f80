ALTER TABLE `attempt` ADD COLUMN IF NOT EXISTS `failure` varchar(16);--> statement-breakpoint
ALTER TABLE `attempt` ADD COLUMN IF NOT EXISTS `tuning` boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `attempt` ADD COLUMN IF NOT EXISTS `signs` longtext;--> statement-breakpoint
ALTER TABLE `attempt` ADD COLUMN IF NOT EXISTS `portion_id` binary(16);--> statement-breakpoint
ALTER TABLE `event` ADD COLUMN IF NOT EXISTS `portion_id` binary(16);--> statement-breakpoint
ALTER TABLE `own_measure` ADD COLUMN IF NOT EXISTS `words` longtext;--> statement-breakpoint
ALTER TABLE `own_measure` ADD COLUMN IF NOT EXISTS `family` varchar(16);--> statement-breakpoint
ALTER TABLE `printer` ADD COLUMN IF NOT EXISTS `bed_max_c` double;--> statement-breakpoint
ALTER TABLE `printer` ADD COLUMN IF NOT EXISTS `card_reels` boolean;--> statement-breakpoint
ALTER TABLE `printer` ADD COLUMN IF NOT EXISTS `reel_max_g` double;--> statement-breakpoint
ALTER TABLE `protocol` ADD COLUMN IF NOT EXISTS `specimen_kinds` longtext;--> statement-breakpoint
ALTER TABLE `protocol` ADD COLUMN IF NOT EXISTS `own_measure_ids` longtext;--> statement-breakpoint
ALTER TABLE `specimen` ADD COLUMN IF NOT EXISTS `nozzle_c` double;--> statement-breakpoint
ALTER TABLE `specimen` ADD COLUMN IF NOT EXISTS `made` varchar(60);--> statement-breakpoint
ALTER TABLE `attempt` ADD CONSTRAINT `attempt_portion_id_event_id_fk` FOREIGN KEY IF NOT EXISTS (`portion_id`) REFERENCES `event` (`id`);
