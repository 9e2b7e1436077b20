ALTER TABLE "revision" ADD COLUMN "tab" text;--> statement-breakpoint
ALTER TABLE "revision" ADD COLUMN "change" bigint;