ALTER TABLE `attempt` ADD COLUMN IF NOT EXISTS `set_up` longtext;--> statement-breakpoint
ALTER TABLE `attempt` ADD COLUMN IF NOT EXISTS `room_temperature_c` double;--> statement-breakpoint
ALTER TABLE `attempt` ADD COLUMN IF NOT EXISTS `room_humidity_pct` double;--> statement-breakpoint
ALTER TABLE `piece` ADD COLUMN IF NOT EXISTS `kind` varchar(24);--> statement-breakpoint
ALTER TABLE `piece` ADD COLUMN IF NOT EXISTS `params` longtext;--> statement-breakpoint
ALTER TABLE `piece` ADD COLUMN IF NOT EXISTS `marks` longtext;--> statement-breakpoint
ALTER TABLE `piece` ADD COLUMN IF NOT EXISTS `volume_mm3` double;--> statement-breakpoint
ALTER TABLE `piece` ADD COLUMN IF NOT EXISTS `file_hash` varchar(64);--> statement-breakpoint
ALTER TABLE `protocol` ADD COLUMN IF NOT EXISTS `piece_ids` longtext;