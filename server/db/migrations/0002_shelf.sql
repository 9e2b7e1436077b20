ALTER TABLE "revision" ADD COLUMN "source" text;--> statement-breakpoint
ALTER TABLE "session" ADD COLUMN "family_id" uuid;--> statement-breakpoint
ALTER TABLE "session" ADD COLUMN "tags" text[] DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE "session" ADD COLUMN "waved" text[] DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE "session" ADD COLUMN "facets" text[] DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE "session" ADD COLUMN "words" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "session" ADD COLUMN "content" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "session" ADD COLUMN "facets_version" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "session" ADD COLUMN "archived_at" timestamp with time zone;--> statement-breakpoint
CREATE INDEX "session_by_facets" ON "session" USING gin ("facets");--> statement-breakpoint
CREATE INDEX "session_by_content" ON "session" USING btree ("owner_id","content");--> statement-breakpoint
CREATE INDEX "session_by_family" ON "session" USING btree ("owner_id","family_id");