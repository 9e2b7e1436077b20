CREATE TABLE "program" (
	"owner_id" uuid DEFAULT current_setting('agonis.owner')::uuid NOT NULL,
	"digest" text NOT NULL,
	"name" text NOT NULL,
	"document" text NOT NULL,
	"session_id" uuid,
	"revision" integer,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "program_owner_id_digest_pk" PRIMARY KEY("owner_id","digest")
);
--> statement-breakpoint
ALTER TABLE "program" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "transfer" RENAME COLUMN "is_called_off" TO "is_cancelled";--> statement-breakpoint
ALTER TABLE "session" RENAME COLUMN "waved" TO "dismissed";--> statement-breakpoint
ALTER TABLE "revision" ADD COLUMN "athlete_revision" integer;--> statement-breakpoint
ALTER TABLE "revision" ADD COLUMN "read_on" date;--> statement-breakpoint
ALTER TABLE "session" ADD COLUMN "reckoned_by" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "program" ADD CONSTRAINT "program_owner_id_account_id_fk" FOREIGN KEY ("owner_id") REFERENCES "public"."account"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "program" ADD CONSTRAINT "program_session_id_session_id_fk" FOREIGN KEY ("session_id") REFERENCES "public"."session"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
INSERT INTO "program" ("owner_id", "digest", "name", "document", "session_id", "revision", "created_at")
SELECT "owner_id", "digest", "program"::json->>'name', "program", "session_id", "revision", "created_at" FROM "transfer" ORDER BY "created_at" DESC
ON CONFLICT DO NOTHING;--> statement-breakpoint
INSERT INTO "program" ("owner_id", "digest", "name", "document", "session_id", "revision", "created_at")
SELECT "owner_id", "digest", "program"::json->>'name', "program", "session_id", "revision", "created_at" FROM "holding"
ON CONFLICT DO NOTHING;--> statement-breakpoint
INSERT INTO "program" ("owner_id", "digest", "name", "document", "session_id", "created_at")
SELECT "owner_id", "program_digest", "program"::json->>'name', "program", "session_id", "created_at" FROM "recording"
WHERE "program" IS NOT NULL AND "program_digest" IS NOT NULL ORDER BY "created_at" DESC
ON CONFLICT DO NOTHING;--> statement-breakpoint
ALTER TABLE "holding" ADD CONSTRAINT "holding_owner_id_digest_program_owner_id_digest_fk" FOREIGN KEY ("owner_id","digest") REFERENCES "public"."program"("owner_id","digest") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "transfer" ADD CONSTRAINT "transfer_owner_id_digest_program_owner_id_digest_fk" FOREIGN KEY ("owner_id","digest") REFERENCES "public"."program"("owner_id","digest") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "revision_by_digest" ON "revision" USING btree ("owner_id","digest");--> statement-breakpoint
ALTER TABLE "holding" DROP COLUMN "program";--> statement-breakpoint
ALTER TABLE "recording" DROP COLUMN "program";--> statement-breakpoint
ALTER TABLE "revision" DROP COLUMN "search";--> statement-breakpoint
ALTER TABLE "transfer" DROP COLUMN "program";--> statement-breakpoint
CREATE POLICY "program_by_owner" ON "program" AS PERMISSIVE FOR ALL TO "agonis_app" USING (owner_id = current_setting('agonis.owner', true)::uuid) WITH CHECK (owner_id = current_setting('agonis.owner', true)::uuid);--> statement-breakpoint
GRANT SELECT, INSERT, UPDATE, DELETE ON "program" TO "agonis_app";
