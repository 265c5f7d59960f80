SET SESSION foreign_key_checks = 0;--> statement-breakpoint
DROP TABLE IF EXISTS `place`;--> statement-breakpoint
DROP TABLE IF EXISTS `tester`;--> statement-breakpoint
ALTER TABLE `attempt`
	ADD CONSTRAINT `attempt_spool_id_spool_id_fk` FOREIGN KEY IF NOT EXISTS (`spool_id`) REFERENCES `spool` (`id`),
	ADD CONSTRAINT `attempt_piece_id_piece_id_fk` FOREIGN KEY IF NOT EXISTS (`piece_id`) REFERENCES `piece` (`id`),
	ADD CONSTRAINT `attempt_printer_id_printer_id_fk` FOREIGN KEY IF NOT EXISTS (`printer_id`) REFERENCES `printer` (`id`),
	DROP COLUMN IF EXISTS `created_by`;--> statement-breakpoint
ALTER TABLE `claim`
	ADD CONSTRAINT `claim_filament_id_filament_id_fk` FOREIGN KEY IF NOT EXISTS (`filament_id`) REFERENCES `filament` (`id`),
	DROP COLUMN IF EXISTS `created_by`;--> statement-breakpoint
ALTER TABLE `criteria`
	ADD CONSTRAINT `criteria_trial_id_trial_id_fk` FOREIGN KEY IF NOT EXISTS (`trial_id`) REFERENCES `trial` (`id`),
	DROP COLUMN IF EXISTS `created_by`;--> statement-breakpoint
ALTER TABLE `drying_run`
	ADD CONSTRAINT `drying_run_dryer_id_dryer_id_fk` FOREIGN KEY IF NOT EXISTS (`dryer_id`) REFERENCES `dryer` (`id`),
	DROP COLUMN IF EXISTS `created_by`;--> statement-breakpoint
ALTER TABLE `drying_run_end`
	ADD CONSTRAINT `drying_run_end_run_id_drying_run_id_fk` FOREIGN KEY IF NOT EXISTS (`run_id`) REFERENCES `drying_run` (`id`),
	DROP COLUMN IF EXISTS `created_by`;--> statement-breakpoint
ALTER TABLE `drying_run_spool`
	ADD CONSTRAINT `drying_run_spool_run_id_drying_run_id_fk` FOREIGN KEY IF NOT EXISTS (`run_id`) REFERENCES `drying_run` (`id`),
	ADD CONSTRAINT `drying_run_spool_spool_id_spool_id_fk` FOREIGN KEY IF NOT EXISTS (`spool_id`) REFERENCES `spool` (`id`);--> statement-breakpoint
ALTER TABLE `event`
	ADD CONSTRAINT `event_spool_id_spool_id_fk` FOREIGN KEY IF NOT EXISTS (`spool_id`) REFERENCES `spool` (`id`),
	ADD CONSTRAINT `event_dryer_id_dryer_id_fk` FOREIGN KEY IF NOT EXISTS (`dryer_id`) REFERENCES `dryer` (`id`),
	DROP COLUMN IF EXISTS `ended_at`,
	DROP COLUMN IF EXISTS `place_id`,
	DROP COLUMN IF EXISTS `created_by`;--> statement-breakpoint
ALTER TABLE `filament`
	ADD CONSTRAINT `filament_maker_id_maker_id_fk` FOREIGN KEY IF NOT EXISTS (`maker_id`) REFERENCES `maker` (`id`),
	DROP COLUMN IF EXISTS `created_by`;--> statement-breakpoint
ALTER TABLE `gauge_study`
	ADD CONSTRAINT `gauge_study_instrument_id_instrument_id_fk` FOREIGN KEY IF NOT EXISTS (`instrument_id`) REFERENCES `instrument` (`id`),
	DROP COLUMN IF EXISTS `created_by`;--> statement-breakpoint
ALTER TABLE `house_spool`
	ADD CONSTRAINT `house_spool_spool_id_spool_id_fk` FOREIGN KEY IF NOT EXISTS (`spool_id`) REFERENCES `spool` (`id`),
	DROP COLUMN IF EXISTS `created_by`;--> statement-breakpoint
ALTER TABLE `instrument_check`
	ADD CONSTRAINT `instrument_check_instrument_id_instrument_id_fk` FOREIGN KEY IF NOT EXISTS (`instrument_id`) REFERENCES `instrument` (`id`),
	DROP COLUMN IF EXISTS `created_by`;--> statement-breakpoint
ALTER TABLE `lot`
	ADD CONSTRAINT `lot_filament_id_filament_id_fk` FOREIGN KEY IF NOT EXISTS (`filament_id`) REFERENCES `filament` (`id`),
	DROP COLUMN IF EXISTS `created_by`;--> statement-breakpoint
ALTER TABLE `own_measure`
	ADD CONSTRAINT `own_measure_trial_id_trial_id_fk` FOREIGN KEY IF NOT EXISTS (`trial_id`) REFERENCES `trial` (`id`),
	DROP COLUMN IF EXISTS `created_by`;--> statement-breakpoint
ALTER TABLE `part`
	ADD CONSTRAINT `part_spool_id_spool_id_fk` FOREIGN KEY IF NOT EXISTS (`spool_id`) REFERENCES `spool` (`id`),
	DROP COLUMN IF EXISTS `created_by`;--> statement-breakpoint
ALTER TABLE `part_state`
	ADD CONSTRAINT `part_state_part_id_part_id_fk` FOREIGN KEY IF NOT EXISTS (`part_id`) REFERENCES `part` (`id`),
	DROP COLUMN IF EXISTS `created_by`;--> statement-breakpoint
ALTER TABLE `protocol`
	ADD CONSTRAINT `protocol_trial_id_trial_id_fk` FOREIGN KEY IF NOT EXISTS (`trial_id`) REFERENCES `trial` (`id`),
	ADD CONSTRAINT `protocol_main_piece_id_piece_id_fk` FOREIGN KEY IF NOT EXISTS (`main_piece_id`) REFERENCES `piece` (`id`),
	ADD CONSTRAINT `protocol_printer_id_printer_id_fk` FOREIGN KEY IF NOT EXISTS (`printer_id`) REFERENCES `printer` (`id`),
	DROP COLUMN IF EXISTS `created_by`;--> statement-breakpoint
ALTER TABLE `purchase`
	ADD CONSTRAINT `purchase_spool_id_spool_id_fk` FOREIGN KEY IF NOT EXISTS (`spool_id`) REFERENCES `spool` (`id`),
	ADD CONSTRAINT `purchase_quote_id_quote_id_fk` FOREIGN KEY IF NOT EXISTS (`quote_id`) REFERENCES `quote` (`id`),
	DROP COLUMN IF EXISTS `created_by`;--> statement-breakpoint
ALTER TABLE `quote`
	ADD CONSTRAINT `quote_filament_id_filament_id_fk` FOREIGN KEY IF NOT EXISTS (`filament_id`) REFERENCES `filament` (`id`),
	DROP COLUMN IF EXISTS `created_by`;--> statement-breakpoint
ALTER TABLE `reading`
	ADD CONSTRAINT `reading_spool_id_spool_id_fk` FOREIGN KEY IF NOT EXISTS (`spool_id`) REFERENCES `spool` (`id`),
	ADD CONSTRAINT `reading_instrument_id_instrument_id_fk` FOREIGN KEY IF NOT EXISTS (`instrument_id`) REFERENCES `instrument` (`id`),
	ADD CONSTRAINT `reading_instrument_check_id_instrument_check_id_fk` FOREIGN KEY IF NOT EXISTS (`instrument_check_id`) REFERENCES `instrument_check` (`id`),
	ADD CONSTRAINT `reading_attempt_id_attempt_id_fk` FOREIGN KEY IF NOT EXISTS (`attempt_id`) REFERENCES `attempt` (`id`),
	ADD CONSTRAINT `reading_specimen_id_specimen_id_fk` FOREIGN KEY IF NOT EXISTS (`specimen_id`) REFERENCES `specimen` (`id`),
	ADD CONSTRAINT `reading_own_measure_id_own_measure_id_fk` FOREIGN KEY IF NOT EXISTS (`own_measure_id`) REFERENCES `own_measure` (`id`),
	DROP COLUMN IF EXISTS `event_id`,
	DROP COLUMN IF EXISTS `created_by`;--> statement-breakpoint
ALTER TABLE `series`
	ADD CONSTRAINT `series_spool_id_spool_id_fk` FOREIGN KEY IF NOT EXISTS (`spool_id`) REFERENCES `spool` (`id`),
	ADD CONSTRAINT `series_instrument_id_instrument_id_fk` FOREIGN KEY IF NOT EXISTS (`instrument_id`) REFERENCES `instrument` (`id`),
	DROP COLUMN IF EXISTS `created_by`;--> statement-breakpoint
ALTER TABLE `series_chunk`
	ADD CONSTRAINT `series_chunk_series_id_series_id_fk` FOREIGN KEY IF NOT EXISTS (`series_id`) REFERENCES `series` (`id`);--> statement-breakpoint
ALTER TABLE `series_slice`
	ADD CONSTRAINT `series_slice_series_id_series_id_fk` FOREIGN KEY IF NOT EXISTS (`series_id`) REFERENCES `series` (`id`);--> statement-breakpoint
ALTER TABLE `series_summary`
	ADD CONSTRAINT `series_summary_series_id_series_id_fk` FOREIGN KEY IF NOT EXISTS (`series_id`) REFERENCES `series` (`id`);--> statement-breakpoint
ALTER TABLE `specimen`
	ADD CONSTRAINT `specimen_spool_id_spool_id_fk` FOREIGN KEY IF NOT EXISTS (`spool_id`) REFERENCES `spool` (`id`),
	ADD CONSTRAINT `specimen_attempt_id_attempt_id_fk` FOREIGN KEY IF NOT EXISTS (`attempt_id`) REFERENCES `attempt` (`id`),
	ADD CONSTRAINT `specimen_piece_id_piece_id_fk` FOREIGN KEY IF NOT EXISTS (`piece_id`) REFERENCES `piece` (`id`),
	DROP COLUMN IF EXISTS `created_by`;--> statement-breakpoint
ALTER TABLE `spool`
	ADD CONSTRAINT `spool_filament_id_filament_id_fk` FOREIGN KEY IF NOT EXISTS (`filament_id`) REFERENCES `filament` (`id`),
	ADD CONSTRAINT `spool_lot_id_lot_id_fk` FOREIGN KEY IF NOT EXISTS (`lot_id`) REFERENCES `lot` (`id`),
	DROP COLUMN IF EXISTS `created_by`;--> statement-breakpoint
ALTER TABLE `trial_spool`
	ADD CONSTRAINT `trial_spool_trial_id_trial_id_fk` FOREIGN KEY IF NOT EXISTS (`trial_id`) REFERENCES `trial` (`id`),
	ADD CONSTRAINT `trial_spool_spool_id_spool_id_fk` FOREIGN KEY IF NOT EXISTS (`spool_id`) REFERENCES `spool` (`id`),
	DROP COLUMN IF EXISTS `created_by`;--> statement-breakpoint
ALTER TABLE `verdict`
	ADD CONSTRAINT `verdict_trial_id_trial_id_fk` FOREIGN KEY IF NOT EXISTS (`trial_id`) REFERENCES `trial` (`id`),
	ADD CONSTRAINT `verdict_spool_id_spool_id_fk` FOREIGN KEY IF NOT EXISTS (`spool_id`) REFERENCES `spool` (`id`),
	DROP COLUMN IF EXISTS `created_by`;--> statement-breakpoint
ALTER TABLE `amendment`
	DROP COLUMN IF EXISTS `created_by`;--> statement-breakpoint
ALTER TABLE `dryer`
	DROP COLUMN IF EXISTS `created_by`;--> statement-breakpoint
ALTER TABLE `handbook_entry`
	DROP COLUMN IF EXISTS `created_by`;--> statement-breakpoint
ALTER TABLE `instrument`
	DROP COLUMN IF EXISTS `created_by`;--> statement-breakpoint
ALTER TABLE `maker`
	DROP COLUMN IF EXISTS `created_by`;--> statement-breakpoint
ALTER TABLE `note`
	DROP COLUMN IF EXISTS `created_by`;--> statement-breakpoint
ALTER TABLE `photo`
	DROP COLUMN IF EXISTS `created_by`;--> statement-breakpoint
ALTER TABLE `piece`
	DROP COLUMN IF EXISTS `created_by`;--> statement-breakpoint
ALTER TABLE `printer`
	DROP COLUMN IF EXISTS `created_by`;--> statement-breakpoint
ALTER TABLE `training_run`
	DROP COLUMN IF EXISTS `created_by`;--> statement-breakpoint
ALTER TABLE `trial`
	DROP COLUMN IF EXISTS `created_by`;--> statement-breakpoint
SET SESSION foreign_key_checks = 1;
