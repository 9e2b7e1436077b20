ALTER TABLE "recording" ADD COLUMN "cord" jsonb;--> statement-breakpoint
ALTER TABLE "session" ADD COLUMN "cord" jsonb;