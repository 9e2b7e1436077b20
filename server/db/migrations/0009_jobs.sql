ALTER TABLE "holding" ADD COLUMN "clears" integer;--> statement-breakpoint
ALTER TABLE "transfer" ADD COLUMN "is_over" boolean DEFAULT false NOT NULL;--> statement-breakpoint
CREATE FUNCTION tell_change() RETURNS trigger LANGUAGE plpgsql SET search_path = public, pg_temp AS $$
DECLARE
  changed record;
  named text;
BEGIN
  IF TG_OP = 'DELETE' THEN changed := OLD; ELSE changed := NEW; END IF;
  named := CASE TG_ARGV[0] WHEN 'id' THEN to_jsonb(changed)->>'id' WHEN 'watch_id' THEN to_jsonb(changed)->>'watch_id' ELSE '-' END;
  PERFORM pg_notify('agonis_changes', concat_ws(' ', changed.owner_id, TG_TABLE_NAME, coalesce(named, '-')));
  RETURN NULL;
END $$;--> statement-breakpoint
CREATE TRIGGER tell_session AFTER INSERT OR UPDATE OR DELETE ON "session" FOR EACH ROW EXECUTE FUNCTION tell_change('id');--> statement-breakpoint
CREATE TRIGGER tell_plan_entry AFTER INSERT OR UPDATE OR DELETE ON "plan_entry" FOR EACH ROW EXECUTE FUNCTION tell_change('id');--> statement-breakpoint
CREATE TRIGGER tell_athlete_revision AFTER INSERT ON "athlete_revision" FOR EACH ROW EXECUTE FUNCTION tell_change('-');--> statement-breakpoint
CREATE TRIGGER tell_watch AFTER INSERT OR DELETE OR UPDATE OF "name", "profile", "link", "key", "pending_key", "standing", "incarnation" ON "watch"
FOR EACH ROW EXECUTE FUNCTION tell_change('id');--> statement-breakpoint
CREATE TRIGGER tell_holding AFTER INSERT OR UPDATE OR DELETE ON "holding" FOR EACH ROW EXECUTE FUNCTION tell_change('watch_id');--> statement-breakpoint
CREATE TRIGGER tell_transfer AFTER INSERT OR UPDATE OR DELETE ON "transfer" FOR EACH ROW EXECUTE FUNCTION tell_change('id');--> statement-breakpoint
CREATE TRIGGER tell_recording AFTER INSERT OR UPDATE OR DELETE ON "recording" FOR EACH ROW EXECUTE FUNCTION tell_change('id');
--> statement-breakpoint
CREATE FUNCTION watches_left_behind() RETURNS TABLE (owner uuid, watch uuid) LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp
AS $$ SELECT owner_id, watch_id FROM transfer WHERE state = 'sending' UNION SELECT owner_id, watch_id FROM holding WHERE clears IS NOT NULL $$;--> statement-breakpoint
REVOKE ALL ON FUNCTION watches_left_behind() FROM PUBLIC;--> statement-breakpoint
GRANT EXECUTE ON FUNCTION watches_left_behind() TO "agonis_app";
