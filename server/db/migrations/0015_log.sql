CREATE TABLE "recording_original" (
	"recording_id" uuid NOT NULL,
	"owner_id" uuid DEFAULT current_setting('agonis.owner')::uuid NOT NULL,
	"name" text NOT NULL,
	"content" "bytea" NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "recording_original_owner_id_recording_id_pk" PRIMARY KEY("owner_id","recording_id")
);
--> statement-breakpoint
ALTER TABLE "recording_original" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "recording" ADD COLUMN "slept" double precision;--> statement-breakpoint
ALTER TABLE "recording" ADD COLUMN "boundaries" jsonb;--> statement-breakpoint
ALTER TABLE "recording" ADD COLUMN "copy_of" uuid;--> statement-breakpoint
ALTER TABLE "recording" ADD COLUMN "held" double precision GENERATED ALWAYS AS ((score->'totals'->>'held')::double precision) STORED;--> statement-breakpoint
ALTER TABLE "recording_original" ADD CONSTRAINT "recording_original_owner_id_account_id_fk" FOREIGN KEY ("owner_id") REFERENCES "public"."account"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "recording_original" ADD CONSTRAINT "recording_original_owner_id_recording_id_recording_owner_id_id_fk" FOREIGN KEY ("owner_id","recording_id") REFERENCES "public"."recording"("owner_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE POLICY "recording_original_by_owner" ON "recording_original" AS PERMISSIVE FOR ALL TO "agonis_app" USING (owner_id = current_setting('agonis.owner', true)::uuid) WITH CHECK (owner_id = current_setting('agonis.owner', true)::uuid);--> statement-breakpoint
GRANT SELECT, INSERT, UPDATE, DELETE ON "recording_original" TO "agonis_app";
