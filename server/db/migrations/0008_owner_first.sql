ALTER TABLE "arrival" DROP CONSTRAINT "arrival_watch_id_watch_id_fk";
--> statement-breakpoint
ALTER TABLE "fit_choice" DROP CONSTRAINT "fit_choice_watch_id_watch_id_fk";
--> statement-breakpoint
ALTER TABLE "fit_choice" DROP CONSTRAINT "fit_choice_session_id_session_id_fk";
--> statement-breakpoint
ALTER TABLE "holding" DROP CONSTRAINT "holding_watch_id_watch_id_fk";
--> statement-breakpoint
ALTER TABLE "holding" DROP CONSTRAINT "holding_session_id_session_id_fk";
--> statement-breakpoint
ALTER TABLE "mark" DROP CONSTRAINT "mark_recording_id_recording_id_fk";
--> statement-breakpoint
ALTER TABLE "plan_entry" DROP CONSTRAINT "plan_entry_session_id_session_id_fk";
--> statement-breakpoint
ALTER TABLE "program" DROP CONSTRAINT "program_session_id_session_id_fk";
--> statement-breakpoint
ALTER TABLE "recording" DROP CONSTRAINT "recording_watch_id_watch_id_fk";
--> statement-breakpoint
ALTER TABLE "recording" DROP CONSTRAINT "recording_session_id_session_id_fk";
--> statement-breakpoint
ALTER TABLE "revision" DROP CONSTRAINT "revision_session_id_session_id_fk";
--> statement-breakpoint
ALTER TABLE "transfer" DROP CONSTRAINT "transfer_watch_id_watch_id_fk";
--> statement-breakpoint
ALTER TABLE "transfer" DROP CONSTRAINT "transfer_session_id_session_id_fk";
--> statement-breakpoint
ALTER TABLE "arrival" DROP CONSTRAINT "arrival_watch_id_digest_at_pk";--> statement-breakpoint
ALTER TABLE "fit_choice" DROP CONSTRAINT "fit_choice_watch_id_session_id_pk";--> statement-breakpoint
ALTER TABLE "holding" DROP CONSTRAINT "holding_watch_id_slot_pk";--> statement-breakpoint
ALTER TABLE "mark" DROP CONSTRAINT "mark_recording_id_position_pk";--> statement-breakpoint
ALTER TABLE "revision" DROP CONSTRAINT "revision_session_id_number_pk";--> statement-breakpoint
ALTER TABLE "plan_entry" DROP CONSTRAINT "plan_entry_pkey";--> statement-breakpoint
ALTER TABLE "recording" DROP CONSTRAINT "recording_pkey";--> statement-breakpoint
ALTER TABLE "session" DROP CONSTRAINT "session_pkey";--> statement-breakpoint
ALTER TABLE "transfer" DROP CONSTRAINT "transfer_pkey";--> statement-breakpoint
ALTER TABLE "watch" DROP CONSTRAINT "watch_pkey";--> statement-breakpoint
ALTER TABLE "arrival" ADD CONSTRAINT "arrival_owner_id_watch_id_digest_at_pk" PRIMARY KEY("owner_id","watch_id","digest","at");--> statement-breakpoint
ALTER TABLE "fit_choice" ADD CONSTRAINT "fit_choice_owner_id_watch_id_session_id_pk" PRIMARY KEY("owner_id","watch_id","session_id");--> statement-breakpoint
ALTER TABLE "holding" ADD CONSTRAINT "holding_owner_id_watch_id_slot_pk" PRIMARY KEY("owner_id","watch_id","slot");--> statement-breakpoint
ALTER TABLE "mark" ADD CONSTRAINT "mark_owner_id_recording_id_position_pk" PRIMARY KEY("owner_id","recording_id","position");--> statement-breakpoint
ALTER TABLE "plan_entry" ADD CONSTRAINT "plan_entry_owner_id_id_pk" PRIMARY KEY("owner_id","id");--> statement-breakpoint
ALTER TABLE "recording" ADD CONSTRAINT "recording_owner_id_id_pk" PRIMARY KEY("owner_id","id");--> statement-breakpoint
ALTER TABLE "revision" ADD CONSTRAINT "revision_owner_id_session_id_number_pk" PRIMARY KEY("owner_id","session_id","number");--> statement-breakpoint
ALTER TABLE "session" ADD CONSTRAINT "session_owner_id_id_pk" PRIMARY KEY("owner_id","id");--> statement-breakpoint
ALTER TABLE "transfer" ADD CONSTRAINT "transfer_owner_id_id_pk" PRIMARY KEY("owner_id","id");--> statement-breakpoint
ALTER TABLE "watch" ADD CONSTRAINT "watch_owner_id_id_pk" PRIMARY KEY("owner_id","id");--> statement-breakpoint
ALTER TABLE "arrival" ADD CONSTRAINT "arrival_owner_id_watch_id_watch_owner_id_id_fk" FOREIGN KEY ("owner_id","watch_id") REFERENCES "public"."watch"("owner_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "fit_choice" ADD CONSTRAINT "fit_choice_owner_id_watch_id_watch_owner_id_id_fk" FOREIGN KEY ("owner_id","watch_id") REFERENCES "public"."watch"("owner_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "fit_choice" ADD CONSTRAINT "fit_choice_owner_id_session_id_session_owner_id_id_fk" FOREIGN KEY ("owner_id","session_id") REFERENCES "public"."session"("owner_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "holding" ADD CONSTRAINT "holding_owner_id_watch_id_watch_owner_id_id_fk" FOREIGN KEY ("owner_id","watch_id") REFERENCES "public"."watch"("owner_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "holding" ADD CONSTRAINT "holding_owner_id_session_id_session_owner_id_id_fk" FOREIGN KEY ("owner_id","session_id") REFERENCES "public"."session"("owner_id","id") ON DELETE SET NULL ("session_id") ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "mark" ADD CONSTRAINT "mark_owner_id_recording_id_recording_owner_id_id_fk" FOREIGN KEY ("owner_id","recording_id") REFERENCES "public"."recording"("owner_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "plan_entry" ADD CONSTRAINT "plan_entry_owner_id_session_id_session_owner_id_id_fk" FOREIGN KEY ("owner_id","session_id") REFERENCES "public"."session"("owner_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "program" ADD CONSTRAINT "program_owner_id_session_id_session_owner_id_id_fk" FOREIGN KEY ("owner_id","session_id") REFERENCES "public"."session"("owner_id","id") ON DELETE SET NULL ("session_id") ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "recording" ADD CONSTRAINT "recording_owner_id_watch_id_watch_owner_id_id_fk" FOREIGN KEY ("owner_id","watch_id") REFERENCES "public"."watch"("owner_id","id") ON DELETE SET NULL ("watch_id") ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "recording" ADD CONSTRAINT "recording_owner_id_session_id_session_owner_id_id_fk" FOREIGN KEY ("owner_id","session_id") REFERENCES "public"."session"("owner_id","id") ON DELETE SET NULL ("session_id") ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "revision" ADD CONSTRAINT "revision_owner_id_session_id_session_owner_id_id_fk" FOREIGN KEY ("owner_id","session_id") REFERENCES "public"."session"("owner_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "transfer" ADD CONSTRAINT "transfer_owner_id_watch_id_watch_owner_id_id_fk" FOREIGN KEY ("owner_id","watch_id") REFERENCES "public"."watch"("owner_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "transfer" ADD CONSTRAINT "transfer_owner_id_session_id_session_owner_id_id_fk" FOREIGN KEY ("owner_id","session_id") REFERENCES "public"."session"("owner_id","id") ON DELETE cascade ON UPDATE no action;