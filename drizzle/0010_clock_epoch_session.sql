ALTER TABLE `server` ADD COLUMN IF NOT EXISTS `epoch` binary(16);--> statement-breakpoint
ALTER TABLE `server` ADD COLUMN IF NOT EXISTS `session_key` binary(32);--> statement-breakpoint
ALTER TABLE `write_log` ADD COLUMN IF NOT EXISTS `clock_ahead_ms` bigint;