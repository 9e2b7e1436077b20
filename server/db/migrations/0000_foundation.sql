DO $$ BEGIN CREATE ROLE "agonis_app" NOLOGIN; EXCEPTION WHEN duplicate_object THEN NULL; END $$;--> statement-breakpoint
CREATE TABLE "account" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"name" text NOT NULL,
	"token_digest" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "account_token_digest_unique" UNIQUE("token_digest")
);
--> statement-breakpoint
CREATE TABLE "athlete_revision" (
	"owner_id" uuid DEFAULT current_setting('agonis.owner')::uuid NOT NULL,
	"number" integer NOT NULL,
	"document" text NOT NULL,
	"digest" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "athlete_revision_owner_id_number_pk" PRIMARY KEY("owner_id","number")
);
--> statement-breakpoint
ALTER TABLE "athlete_revision" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "holding" (
	"watch_id" uuid NOT NULL,
	"slot" integer NOT NULL,
	"owner_id" uuid DEFAULT current_setting('agonis.owner')::uuid NOT NULL,
	"session_id" uuid,
	"revision" integer NOT NULL,
	"program" text NOT NULL,
	"digest" text NOT NULL,
	"receipt" jsonb,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "holding_watch_id_slot_pk" PRIMARY KEY("watch_id","slot")
);
--> statement-breakpoint
ALTER TABLE "holding" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "mark" (
	"recording_id" uuid NOT NULL,
	"position" bigint NOT NULL,
	"owner_id" uuid DEFAULT current_setting('agonis.owner')::uuid NOT NULL,
	"t" double precision NOT NULL,
	"kind" text NOT NULL,
	"path" text,
	"round" integer[],
	CONSTRAINT "mark_recording_id_position_pk" PRIMARY KEY("recording_id","position")
);
--> statement-breakpoint
ALTER TABLE "mark" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "plan_entry" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"owner_id" uuid DEFAULT current_setting('agonis.owner')::uuid NOT NULL,
	"session_id" uuid NOT NULL,
	"day" date NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "plan_entry" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "recording" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"owner_id" uuid DEFAULT current_setting('agonis.owner')::uuid NOT NULL,
	"digest" text NOT NULL,
	"title" text NOT NULL,
	"sport" text NOT NULL,
	"started_at" timestamp with time zone NOT NULL,
	"time_zone" text,
	"seconds" double precision NOT NULL,
	"metres" double precision,
	"watch_id" uuid,
	"session_id" uuid,
	"program_digest" text,
	"program" text,
	"samples" "bytea" NOT NULL,
	"felt" jsonb,
	"score" jsonb,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "recording" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "revision" (
	"session_id" uuid NOT NULL,
	"owner_id" uuid DEFAULT current_setting('agonis.owner')::uuid NOT NULL,
	"number" integer NOT NULL,
	"base" integer NOT NULL,
	"script" text NOT NULL,
	"document" text NOT NULL,
	"search" jsonb NOT NULL,
	"digest" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "revision_session_id_number_pk" PRIMARY KEY("session_id","number")
);
--> statement-breakpoint
ALTER TABLE "revision" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "session" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"owner_id" uuid DEFAULT current_setting('agonis.owner')::uuid NOT NULL,
	"title" text NOT NULL,
	"sport" text NOT NULL,
	"head" integer NOT NULL,
	"seconds" double precision,
	"metres" double precision,
	"steps" integer NOT NULL,
	"open" integer NOT NULL,
	"removed_at" timestamp with time zone,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "session" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "transfer" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"owner_id" uuid DEFAULT current_setting('agonis.owner')::uuid NOT NULL,
	"watch_id" uuid NOT NULL,
	"session_id" uuid NOT NULL,
	"revision" integer NOT NULL,
	"slot" integer NOT NULL,
	"expects" integer NOT NULL,
	"program" text NOT NULL,
	"digest" text NOT NULL,
	"state" text NOT NULL,
	"arrived" integer DEFAULT 0 NOT NULL,
	"size" integer NOT NULL,
	"problem" text,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "transfer" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "watch" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"owner_id" uuid DEFAULT current_setting('agonis.owner')::uuid NOT NULL,
	"name" text NOT NULL,
	"address" text NOT NULL,
	"profile" jsonb NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "watch" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "athlete_revision" ADD CONSTRAINT "athlete_revision_owner_id_account_id_fk" FOREIGN KEY ("owner_id") REFERENCES "public"."account"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "holding" ADD CONSTRAINT "holding_watch_id_watch_id_fk" FOREIGN KEY ("watch_id") REFERENCES "public"."watch"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "holding" ADD CONSTRAINT "holding_owner_id_account_id_fk" FOREIGN KEY ("owner_id") REFERENCES "public"."account"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "holding" ADD CONSTRAINT "holding_session_id_session_id_fk" FOREIGN KEY ("session_id") REFERENCES "public"."session"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "mark" ADD CONSTRAINT "mark_recording_id_recording_id_fk" FOREIGN KEY ("recording_id") REFERENCES "public"."recording"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "mark" ADD CONSTRAINT "mark_owner_id_account_id_fk" FOREIGN KEY ("owner_id") REFERENCES "public"."account"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "plan_entry" ADD CONSTRAINT "plan_entry_owner_id_account_id_fk" FOREIGN KEY ("owner_id") REFERENCES "public"."account"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "plan_entry" ADD CONSTRAINT "plan_entry_session_id_session_id_fk" FOREIGN KEY ("session_id") REFERENCES "public"."session"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "recording" ADD CONSTRAINT "recording_owner_id_account_id_fk" FOREIGN KEY ("owner_id") REFERENCES "public"."account"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "recording" ADD CONSTRAINT "recording_watch_id_watch_id_fk" FOREIGN KEY ("watch_id") REFERENCES "public"."watch"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "recording" ADD CONSTRAINT "recording_session_id_session_id_fk" FOREIGN KEY ("session_id") REFERENCES "public"."session"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "revision" ADD CONSTRAINT "revision_session_id_session_id_fk" FOREIGN KEY ("session_id") REFERENCES "public"."session"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "revision" ADD CONSTRAINT "revision_owner_id_account_id_fk" FOREIGN KEY ("owner_id") REFERENCES "public"."account"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "session" ADD CONSTRAINT "session_owner_id_account_id_fk" FOREIGN KEY ("owner_id") REFERENCES "public"."account"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "transfer" ADD CONSTRAINT "transfer_owner_id_account_id_fk" FOREIGN KEY ("owner_id") REFERENCES "public"."account"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "transfer" ADD CONSTRAINT "transfer_watch_id_watch_id_fk" FOREIGN KEY ("watch_id") REFERENCES "public"."watch"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "transfer" ADD CONSTRAINT "transfer_session_id_session_id_fk" FOREIGN KEY ("session_id") REFERENCES "public"."session"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "watch" ADD CONSTRAINT "watch_owner_id_account_id_fk" FOREIGN KEY ("owner_id") REFERENCES "public"."account"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "plan_entry_by_day" ON "plan_entry" USING btree ("owner_id","day");--> statement-breakpoint
CREATE UNIQUE INDEX "recording_once" ON "recording" USING btree ("owner_id","digest");--> statement-breakpoint
CREATE INDEX "recording_by_start" ON "recording" USING btree ("owner_id","started_at");--> statement-breakpoint
CREATE INDEX "session_by_owner" ON "session" USING btree ("owner_id","updated_at");--> statement-breakpoint
CREATE INDEX "transfer_by_watch" ON "transfer" USING btree ("watch_id","created_at");--> statement-breakpoint
CREATE UNIQUE INDEX "watch_by_address" ON "watch" USING btree ("address");--> statement-breakpoint
CREATE POLICY "athlete_revision_by_owner" ON "athlete_revision" AS PERMISSIVE FOR ALL TO "agonis_app" USING (owner_id = current_setting('agonis.owner', true)::uuid) WITH CHECK (owner_id = current_setting('agonis.owner', true)::uuid);--> statement-breakpoint
CREATE POLICY "holding_by_owner" ON "holding" AS PERMISSIVE FOR ALL TO "agonis_app" USING (owner_id = current_setting('agonis.owner', true)::uuid) WITH CHECK (owner_id = current_setting('agonis.owner', true)::uuid);--> statement-breakpoint
CREATE POLICY "mark_by_owner" ON "mark" AS PERMISSIVE FOR ALL TO "agonis_app" USING (owner_id = current_setting('agonis.owner', true)::uuid) WITH CHECK (owner_id = current_setting('agonis.owner', true)::uuid);--> statement-breakpoint
CREATE POLICY "plan_entry_by_owner" ON "plan_entry" AS PERMISSIVE FOR ALL TO "agonis_app" USING (owner_id = current_setting('agonis.owner', true)::uuid) WITH CHECK (owner_id = current_setting('agonis.owner', true)::uuid);--> statement-breakpoint
CREATE POLICY "recording_by_owner" ON "recording" AS PERMISSIVE FOR ALL TO "agonis_app" USING (owner_id = current_setting('agonis.owner', true)::uuid) WITH CHECK (owner_id = current_setting('agonis.owner', true)::uuid);--> statement-breakpoint
CREATE POLICY "revision_by_owner" ON "revision" AS PERMISSIVE FOR ALL TO "agonis_app" USING (owner_id = current_setting('agonis.owner', true)::uuid) WITH CHECK (owner_id = current_setting('agonis.owner', true)::uuid);--> statement-breakpoint
CREATE POLICY "session_by_owner" ON "session" AS PERMISSIVE FOR ALL TO "agonis_app" USING (owner_id = current_setting('agonis.owner', true)::uuid) WITH CHECK (owner_id = current_setting('agonis.owner', true)::uuid);--> statement-breakpoint
CREATE POLICY "transfer_by_owner" ON "transfer" AS PERMISSIVE FOR ALL TO "agonis_app" USING (owner_id = current_setting('agonis.owner', true)::uuid) WITH CHECK (owner_id = current_setting('agonis.owner', true)::uuid);--> statement-breakpoint
CREATE POLICY "watch_by_owner" ON "watch" AS PERMISSIVE FOR ALL TO "agonis_app" USING (owner_id = current_setting('agonis.owner', true)::uuid) WITH CHECK (owner_id = current_setting('agonis.owner', true)::uuid);