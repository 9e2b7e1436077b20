CREATE TABLE "arrival" (
	"watch_id" uuid NOT NULL,
	"digest" text NOT NULL,
	"at" integer NOT NULL,
	"owner_id" uuid DEFAULT current_setting('agonis.owner')::uuid NOT NULL,
	"bytes" "bytea" NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "arrival_watch_id_digest_at_pk" PRIMARY KEY("watch_id","digest","at")
);
--> statement-breakpoint
ALTER TABLE "arrival" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "fit_choice" (
	"watch_id" uuid NOT NULL,
	"session_id" uuid NOT NULL,
	"owner_id" uuid DEFAULT current_setting('agonis.owner')::uuid NOT NULL,
	"here" jsonb NOT NULL,
	CONSTRAINT "fit_choice_watch_id_session_id_pk" PRIMARY KEY("watch_id","session_id")
);
--> statement-breakpoint
ALTER TABLE "fit_choice" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
DROP INDEX "watch_by_address";--> statement-breakpoint
ALTER TABLE "holding" ADD COLUMN "day" date;--> statement-breakpoint
ALTER TABLE "holding" ADD COLUMN "is_leaving" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "recording" ADD COLUMN "clock_ahead" integer;--> statement-breakpoint
ALTER TABLE "transfer" ADD COLUMN "incarnation" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "transfer" ADD COLUMN "day" date;--> statement-breakpoint
ALTER TABLE "transfer" ADD COLUMN "is_called_off" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "watch" ADD COLUMN "link" text DEFAULT 'radio' NOT NULL;--> statement-breakpoint
ALTER TABLE "watch" ADD COLUMN "key" text;--> statement-breakpoint
ALTER TABLE "watch" ADD COLUMN "pending_key" text;--> statement-breakpoint
ALTER TABLE "watch" ADD COLUMN "standing" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "watch" ADD COLUMN "incarnation" text;--> statement-breakpoint
ALTER TABLE "watch" ADD COLUMN "lease_number" bigint DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "watch" ADD COLUMN "lease_holder" text;--> statement-breakpoint
ALTER TABLE "watch" ADD COLUMN "lease_until" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "arrival" ADD CONSTRAINT "arrival_watch_id_watch_id_fk" FOREIGN KEY ("watch_id") REFERENCES "public"."watch"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "arrival" ADD CONSTRAINT "arrival_owner_id_account_id_fk" FOREIGN KEY ("owner_id") REFERENCES "public"."account"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "fit_choice" ADD CONSTRAINT "fit_choice_watch_id_watch_id_fk" FOREIGN KEY ("watch_id") REFERENCES "public"."watch"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "fit_choice" ADD CONSTRAINT "fit_choice_session_id_session_id_fk" FOREIGN KEY ("session_id") REFERENCES "public"."session"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "fit_choice" ADD CONSTRAINT "fit_choice_owner_id_account_id_fk" FOREIGN KEY ("owner_id") REFERENCES "public"."account"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "watch_by_address" ON "watch" USING btree ("owner_id","address");--> statement-breakpoint
CREATE POLICY "arrival_by_owner" ON "arrival" AS PERMISSIVE FOR ALL TO "agonis_app" USING (owner_id = current_setting('agonis.owner', true)::uuid) WITH CHECK (owner_id = current_setting('agonis.owner', true)::uuid);--> statement-breakpoint
CREATE POLICY "fit_choice_by_owner" ON "fit_choice" AS PERMISSIVE FOR ALL TO "agonis_app" USING (owner_id = current_setting('agonis.owner', true)::uuid) WITH CHECK (owner_id = current_setting('agonis.owner', true)::uuid);--> statement-breakpoint
GRANT SELECT, INSERT, UPDATE, DELETE ON "arrival", "fit_choice" TO "agonis_app";
