CREATE TABLE "device" (
	"id" uuid DEFAULT gen_random_uuid() NOT NULL,
	"owner_id" uuid DEFAULT current_setting('agonis.owner')::uuid NOT NULL,
	"name" text NOT NULL,
	"token_digest" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"seen_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "device_owner_id_id_pk" PRIMARY KEY("owner_id","id"),
	CONSTRAINT "device_token_digest_unique" UNIQUE("token_digest")
);
--> statement-breakpoint
ALTER TABLE "device" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "invitation" (
	"owner_id" uuid DEFAULT current_setting('agonis.owner')::uuid NOT NULL,
	"key_digest" text NOT NULL,
	"lets" text NOT NULL,
	"until" timestamp with time zone NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "invitation_owner_id_key_digest_pk" PRIMARY KEY("owner_id","key_digest"),
	CONSTRAINT "invitation_key_digest_unique" UNIQUE("key_digest")
);
--> statement-breakpoint
ALTER TABLE "invitation" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "knock" (
	"who" text PRIMARY KEY NOT NULL,
	"count" integer NOT NULL,
	"until" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "knock" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "passkey" (
	"owner_id" uuid DEFAULT current_setting('agonis.owner')::uuid NOT NULL,
	"credential" text NOT NULL,
	"name" text NOT NULL,
	"public_key" "bytea" NOT NULL,
	"counter" bigint NOT NULL,
	"transports" text[] DEFAULT '{}' NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "passkey_owner_id_credential_pk" PRIMARY KEY("owner_id","credential"),
	CONSTRAINT "passkey_credential_unique" UNIQUE("credential")
);
--> statement-breakpoint
ALTER TABLE "passkey" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "account" ADD COLUMN "sign_in_name" text;--> statement-breakpoint
ALTER TABLE "account" ADD COLUMN "passphrase" text;--> statement-breakpoint
ALTER TABLE "recording" ADD COLUMN "removed_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "device" ADD CONSTRAINT "device_owner_id_account_id_fk" FOREIGN KEY ("owner_id") REFERENCES "public"."account"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "invitation" ADD CONSTRAINT "invitation_owner_id_account_id_fk" FOREIGN KEY ("owner_id") REFERENCES "public"."account"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "passkey" ADD CONSTRAINT "passkey_owner_id_account_id_fk" FOREIGN KEY ("owner_id") REFERENCES "public"."account"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "account" ADD CONSTRAINT "account_sign_in_name_unique" UNIQUE("sign_in_name");--> statement-breakpoint
CREATE POLICY "device_by_owner" ON "device" AS PERMISSIVE FOR ALL TO "agonis_app" USING (owner_id = current_setting('agonis.owner', true)::uuid) WITH CHECK (owner_id = current_setting('agonis.owner', true)::uuid);--> statement-breakpoint
CREATE POLICY "invitation_by_owner" ON "invitation" AS PERMISSIVE FOR ALL TO "agonis_app" USING (owner_id = current_setting('agonis.owner', true)::uuid) WITH CHECK (owner_id = current_setting('agonis.owner', true)::uuid);--> statement-breakpoint
CREATE POLICY "passkey_by_owner" ON "passkey" AS PERMISSIVE FOR ALL TO "agonis_app" USING (owner_id = current_setting('agonis.owner', true)::uuid) WITH CHECK (owner_id = current_setting('agonis.owner', true)::uuid);--> statement-breakpoint
GRANT SELECT, INSERT, UPDATE, DELETE ON "device", "invitation", "passkey" TO "agonis_app";--> statement-breakpoint
GRANT SELECT ("sign_in_name") ON "account" TO "agonis_app";--> statement-breakpoint
DROP FUNCTION account_of_token(text);--> statement-breakpoint
CREATE FUNCTION entrance_of_token(digest text) RETURNS TABLE (owner uuid, device uuid) LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp
AS $$ SELECT id, NULL::uuid FROM account WHERE token_digest = digest UNION ALL SELECT owner_id, id FROM device WHERE token_digest = digest $$;--> statement-breakpoint
CREATE FUNCTION redeem_invitation(digest text) RETURNS TABLE (owner uuid, lets text) LANGUAGE sql SECURITY DEFINER SET search_path = public, pg_temp
AS $$ DELETE FROM invitation WHERE key_digest = digest AND until > now() RETURNING owner_id, lets $$;--> statement-breakpoint
CREATE FUNCTION sign_in_of(asked text) RETURNS TABLE (owner uuid, passphrase text) LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp
AS $$ SELECT id, account.passphrase FROM account WHERE sign_in_name = asked AND account.passphrase IS NOT NULL $$;--> statement-breakpoint
CREATE FUNCTION set_sign_in(asked text, secret text) RETURNS void LANGUAGE sql SECURITY DEFINER SET search_path = public, pg_temp
AS $$ UPDATE account SET sign_in_name = asked, passphrase = secret WHERE id = current_setting('agonis.owner')::uuid $$;--> statement-breakpoint
CREATE FUNCTION passkey_of(credential_id text) RETURNS TABLE (owner uuid, public_key bytea, counter bigint, transports text[])
LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp
AS $$ SELECT owner_id, passkey.public_key, passkey.counter, passkey.transports FROM passkey WHERE credential = credential_id $$;--> statement-breakpoint
CREATE FUNCTION count_knock(knocker text, seconds integer) RETURNS integer LANGUAGE sql SECURITY DEFINER SET search_path = public, pg_temp
AS $$ INSERT INTO knock (who, count, until) VALUES (knocker, 1, now() + make_interval(secs => seconds))
ON CONFLICT (who) DO UPDATE SET
  count = CASE WHEN knock.until < now() THEN 1 ELSE knock.count + 1 END,
  until = CASE WHEN knock.until < now() THEN now() + make_interval(secs => seconds) ELSE knock.until END
RETURNING count $$;--> statement-breakpoint
CREATE FUNCTION forget_knocks(knocker text) RETURNS void LANGUAGE sql SECURITY DEFINER SET search_path = public, pg_temp
AS $$ DELETE FROM knock WHERE who = knocker OR until < now() $$;--> statement-breakpoint
REVOKE ALL ON FUNCTION entrance_of_token(text), redeem_invitation(text), sign_in_of(text), set_sign_in(text, text), passkey_of(text),
  count_knock(text, integer), forget_knocks(text) FROM PUBLIC;--> statement-breakpoint
GRANT EXECUTE ON FUNCTION entrance_of_token(text), redeem_invitation(text), sign_in_of(text), set_sign_in(text, text), passkey_of(text),
  count_knock(text, integer), forget_knocks(text) TO "agonis_app";
