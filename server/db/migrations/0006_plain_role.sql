ALTER TABLE "account" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "account_of_owner" ON "account" AS PERMISSIVE FOR SELECT TO "agonis_app" USING (id = current_setting('agonis.owner', true)::uuid);--> statement-breakpoint
GRANT SELECT ("name", "created_at") ON "account" TO "agonis_app";--> statement-breakpoint
CREATE FUNCTION account_of_token(digest text) RETURNS uuid LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp
AS $$ SELECT id FROM account WHERE token_digest = digest $$;--> statement-breakpoint
CREATE FUNCTION open_account(name text, digest text) RETURNS uuid LANGUAGE sql SECURITY DEFINER SET search_path = public, pg_temp
AS $$ INSERT INTO account (name, token_digest) VALUES (name, digest) RETURNING id $$;--> statement-breakpoint
CREATE FUNCTION change_token(digest text) RETURNS void LANGUAGE sql SECURITY DEFINER SET search_path = public, pg_temp
AS $$ UPDATE account SET token_digest = digest WHERE id = current_setting('agonis.owner')::uuid $$;--> statement-breakpoint
CREATE FUNCTION erase_account() RETURNS void LANGUAGE sql SECURITY DEFINER SET search_path = public, pg_temp
AS $$ DELETE FROM account WHERE id = current_setting('agonis.owner')::uuid $$;--> statement-breakpoint
REVOKE ALL ON FUNCTION account_of_token(text), open_account(text, text), change_token(text), erase_account() FROM PUBLIC;--> statement-breakpoint
GRANT EXECUTE ON FUNCTION account_of_token(text), open_account(text, text), change_token(text), erase_account() TO "agonis_app";
