ALTER TABLE `photo` ADD COLUMN IF NOT EXISTS `small` mediumblob NOT NULL;--> statement-breakpoint
ALTER TABLE `photo` ADD COLUMN IF NOT EXISTS `width` int NOT NULL;--> statement-breakpoint
ALTER TABLE `photo` ADD COLUMN IF NOT EXISTS `height` int NOT NULL;--> statement-breakpoint
ALTER TABLE `photo` ADD COLUMN IF NOT EXISTS `zone` varchar(64) NOT NULL;--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `photo_spool` ON `photo` (`spool_id`);