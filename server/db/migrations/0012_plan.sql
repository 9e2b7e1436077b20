CREATE TABLE "demo_day" (
	"owner_id" uuid DEFAULT current_setting('agonis.owner')::uuid NOT NULL,
	"day" date NOT NULL,
	CONSTRAINT "demo_day_owner_id_pk" PRIMARY KEY("owner_id")
);
--> statement-breakpoint
ALTER TABLE "demo_day" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "plan_dismissal" (
	"owner_id" uuid DEFAULT current_setting('agonis.owner')::uuid NOT NULL,
	"key" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "plan_dismissal_owner_id_key_pk" PRIMARY KEY("owner_id","key")
);
--> statement-breakpoint
ALTER TABLE "plan_dismissal" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "plan_edit" (
	"owner_id" uuid DEFAULT current_setting('agonis.owner')::uuid NOT NULL,
	"number" integer NOT NULL,
	"said" text NOT NULL,
	"changes" jsonb NOT NULL,
	"undone_at" timestamp with time zone,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "plan_edit_owner_id_number_pk" PRIMARY KEY("owner_id","number")
);
--> statement-breakpoint
ALTER TABLE "plan_edit" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "plan_entry" ALTER COLUMN "session_id" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "plan_entry" ADD COLUMN "at" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "plan_entry" ADD COLUMN "kind" text DEFAULT 'session' NOT NULL;--> statement-breakpoint
ALTER TABLE "plan_entry" ADD COLUMN "name" text;--> statement-breakpoint
ALTER TABLE "plan_entry" ADD COLUMN "minutes" double precision;--> statement-breakpoint
ALTER TABLE "plan_entry" ADD COLUMN "effort" double precision;--> statement-breakpoint
ALTER TABLE "plan_entry" ADD COLUMN "sport" text;--> statement-breakpoint
ALTER TABLE "session" ADD COLUMN "burden" jsonb;--> statement-breakpoint
ALTER TABLE "session" ADD COLUMN "burden_by" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "recording" ADD COLUMN "burden" jsonb;--> statement-breakpoint
ALTER TABLE "demo_day" ADD CONSTRAINT "demo_day_owner_id_account_id_fk" FOREIGN KEY ("owner_id") REFERENCES "public"."account"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "plan_dismissal" ADD CONSTRAINT "plan_dismissal_owner_id_account_id_fk" FOREIGN KEY ("owner_id") REFERENCES "public"."account"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "plan_edit" ADD CONSTRAINT "plan_edit_owner_id_account_id_fk" FOREIGN KEY ("owner_id") REFERENCES "public"."account"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE POLICY "demo_day_by_owner" ON "demo_day" AS PERMISSIVE FOR ALL TO "agonis_app" USING (owner_id = current_setting('agonis.owner', true)::uuid) WITH CHECK (owner_id = current_setting('agonis.owner', true)::uuid);--> statement-breakpoint
CREATE POLICY "plan_dismissal_by_owner" ON "plan_dismissal" AS PERMISSIVE FOR ALL TO "agonis_app" USING (owner_id = current_setting('agonis.owner', true)::uuid) WITH CHECK (owner_id = current_setting('agonis.owner', true)::uuid);--> statement-breakpoint
CREATE POLICY "plan_edit_by_owner" ON "plan_edit" AS PERMISSIVE FOR ALL TO "agonis_app" USING (owner_id = current_setting('agonis.owner', true)::uuid) WITH CHECK (owner_id = current_setting('agonis.owner', true)::uuid);--> statement-breakpoint
GRANT SELECT, INSERT, UPDATE, DELETE ON "plan_edit", "plan_dismissal", "demo_day" TO "agonis_app";
