CREATE TABLE "calendar_feed" (
	"owner_id" uuid DEFAULT current_setting('agonis.owner')::uuid NOT NULL,
	"id" uuid DEFAULT gen_random_uuid() NOT NULL,
	"name" text NOT NULL,
	"key_digest" text NOT NULL,
	"times" jsonb,
	"alarm" integer,
	"read_at" timestamp with time zone,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "calendar_feed_owner_id_id_pk" PRIMARY KEY("owner_id","id"),
	CONSTRAINT "calendar_feed_key_digest_unique" UNIQUE("key_digest")
);
--> statement-breakpoint
ALTER TABLE "calendar_feed" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "plan_shape" (
	"owner_id" uuid DEFAULT current_setting('agonis.owner')::uuid NOT NULL,
	"shape" jsonb NOT NULL,
	CONSTRAINT "plan_shape_owner_id_pk" PRIMARY KEY("owner_id")
);
--> statement-breakpoint
ALTER TABLE "plan_shape" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "push_routine" (
	"owner_id" uuid DEFAULT current_setting('agonis.owner')::uuid NOT NULL,
	"watch_id" uuid NOT NULL,
	"hour" integer,
	"push_at" timestamp with time zone,
	"clear_at" timestamp with time zone,
	"tried_at" timestamp with time zone,
	"refused" jsonb DEFAULT '[]'::jsonb NOT NULL,
	CONSTRAINT "push_routine_owner_id_watch_id_pk" PRIMARY KEY("owner_id","watch_id")
);
--> statement-breakpoint
ALTER TABLE "push_routine" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "plan_entry" ADD COLUMN "changed_at" timestamp with time zone DEFAULT now() NOT NULL;--> statement-breakpoint
ALTER TABLE "calendar_feed" ADD CONSTRAINT "calendar_feed_owner_id_account_id_fk" FOREIGN KEY ("owner_id") REFERENCES "public"."account"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "plan_shape" ADD CONSTRAINT "plan_shape_owner_id_account_id_fk" FOREIGN KEY ("owner_id") REFERENCES "public"."account"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "push_routine" ADD CONSTRAINT "push_routine_owner_id_account_id_fk" FOREIGN KEY ("owner_id") REFERENCES "public"."account"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "push_routine" ADD CONSTRAINT "push_routine_owner_id_watch_id_watch_owner_id_id_fk" FOREIGN KEY ("owner_id","watch_id") REFERENCES "public"."watch"("owner_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "push_routine_due" ON "push_routine" USING btree ("push_at");--> statement-breakpoint
CREATE POLICY "calendar_feed_by_owner" ON "calendar_feed" AS PERMISSIVE FOR ALL TO "agonis_app" USING (owner_id = current_setting('agonis.owner', true)::uuid) WITH CHECK (owner_id = current_setting('agonis.owner', true)::uuid);--> statement-breakpoint
CREATE POLICY "plan_shape_by_owner" ON "plan_shape" AS PERMISSIVE FOR ALL TO "agonis_app" USING (owner_id = current_setting('agonis.owner', true)::uuid) WITH CHECK (owner_id = current_setting('agonis.owner', true)::uuid);--> statement-breakpoint
CREATE POLICY "push_routine_by_owner" ON "push_routine" AS PERMISSIVE FOR ALL TO "agonis_app" USING (owner_id = current_setting('agonis.owner', true)::uuid) WITH CHECK (owner_id = current_setting('agonis.owner', true)::uuid);--> statement-breakpoint
GRANT SELECT, INSERT, UPDATE, DELETE ON "calendar_feed", "plan_shape", "push_routine" TO "agonis_app";--> statement-breakpoint
CREATE FUNCTION feed_of_key(digest text) RETURNS TABLE (owner uuid, feed uuid) LANGUAGE sql SECURITY DEFINER SET search_path = public, pg_temp
AS $$ UPDATE calendar_feed SET read_at = now() WHERE key_digest = digest RETURNING owner_id, id $$;--> statement-breakpoint
CREATE FUNCTION routines_due() RETURNS TABLE (owner uuid, watch uuid) LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp
AS $$ SELECT owner_id, watch_id FROM push_routine WHERE push_at <= now() OR clear_at <= now() LIMIT 500 $$;--> statement-breakpoint
REVOKE ALL ON FUNCTION feed_of_key(text), routines_due() FROM PUBLIC;--> statement-breakpoint
GRANT EXECUTE ON FUNCTION feed_of_key(text), routines_due() TO "agonis_app";
