GRANT "agonis_app" TO CURRENT_USER;--> statement-breakpoint
GRANT USAGE ON SCHEMA public TO "agonis_app";--> statement-breakpoint
GRANT SELECT, INSERT, UPDATE, DELETE ON "athlete_revision", "session", "revision", "plan_entry", "watch", "holding", "transfer", "recording", "mark" TO "agonis_app";--> statement-breakpoint
GRANT SELECT ("id") ON "account" TO "agonis_app";
