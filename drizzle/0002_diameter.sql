ALTER TABLE `instrument_check` MODIFY COLUMN `bias` double;--> statement-breakpoint
ALTER TABLE `instrument_check` MODIFY COLUMN `n` int;--> statement-breakpoint
ALTER TABLE `instrument_check` ADD COLUMN IF NOT EXISTS `reference_limit` double DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `instrument_check` ADD COLUMN IF NOT EXISTS `readings` longtext;--> statement-breakpoint
ALTER TABLE `instrument_check` ADD COLUMN IF NOT EXISTS `zone` varchar(64) NOT NULL;--> statement-breakpoint
ALTER TABLE `protocol` ADD COLUMN IF NOT EXISTS `claim_rule` varchar(16) DEFAULT 'share' NOT NULL;