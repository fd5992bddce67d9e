CREATE TABLE "builds" (
	"workshop_id" text NOT NULL,
	"id" text NOT NULL,
	"name" text NOT NULL,
	"created_at" text NOT NULL,
	CONSTRAINT "builds_workshop_id_id_pk" PRIMARY KEY("workshop_id","id")
);
--> statement-breakpoint
CREATE TABLE "failures" (
	"workshop_id" text NOT NULL,
	"id" text NOT NULL,
	"revision_id" text NOT NULL,
	"run_id" text,
	"part_id" text,
	"part_name" text NOT NULL,
	"mode" text NOT NULL,
	"hours" double precision,
	"story" text,
	"occurred_at" text NOT NULL,
	"fix" text,
	"fix_revision_id" text,
	CONSTRAINT "failures_workshop_id_id_pk" PRIMARY KEY("workshop_id","id")
);
--> statement-breakpoint
CREATE TABLE "library_items" (
	"workshop_id" text NOT NULL,
	"id" text NOT NULL,
	"kind" text NOT NULL,
	"data" jsonb NOT NULL,
	CONSTRAINT "library_items_workshop_id_id_pk" PRIMARY KEY("workshop_id","id")
);
--> statement-breakpoint
CREATE TABLE "rate_limits" (
	"key" text PRIMARY KEY NOT NULL,
	"window_start" timestamp with time zone NOT NULL,
	"count" integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE "revisions" (
	"workshop_id" text NOT NULL,
	"id" text NOT NULL,
	"build_id" text NOT NULL,
	"letter" text NOT NULL,
	"parent_id" text,
	"why" text,
	"expected" text,
	"document" jsonb NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"created_at" text NOT NULL,
	CONSTRAINT "revisions_workshop_id_id_pk" PRIMARY KEY("workshop_id","id"),
	CONSTRAINT "version_counts" CHECK ("revisions"."version" >= 1)
);
--> statement-breakpoint
CREATE TABLE "runs" (
	"workshop_id" text NOT NULL,
	"id" text NOT NULL,
	"revision_id" text NOT NULL,
	"kind" text NOT NULL,
	"attempts" jsonb NOT NULL,
	"conditions" jsonb NOT NULL,
	"driven_minutes" double precision,
	"note" text,
	"ran_at" text NOT NULL,
	"document" jsonb NOT NULL,
	"prediction" jsonb,
	CONSTRAINT "runs_workshop_id_id_pk" PRIMARY KEY("workshop_id","id")
);
--> statement-breakpoint
CREATE TABLE "workshops" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"is_default" boolean DEFAULT false NOT NULL,
	"settings" jsonb DEFAULT '{}'::jsonb NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "builds" ADD CONSTRAINT "builds_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "failures" ADD CONSTRAINT "failures_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "failures" ADD CONSTRAINT "failures_to_revision" FOREIGN KEY ("workshop_id","revision_id") REFERENCES "public"."revisions"("workshop_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "library_items" ADD CONSTRAINT "library_items_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "revisions" ADD CONSTRAINT "revisions_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "revisions" ADD CONSTRAINT "revisions_of_build" FOREIGN KEY ("workshop_id","build_id") REFERENCES "public"."builds"("workshop_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "runs" ADD CONSTRAINT "runs_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "runs" ADD CONSTRAINT "runs_to_revision" FOREIGN KEY ("workshop_id","revision_id") REFERENCES "public"."revisions"("workshop_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "failures_of_revision" ON "failures" USING btree ("workshop_id","revision_id");--> statement-breakpoint
CREATE UNIQUE INDEX "one_letter_a_build" ON "revisions" USING btree ("workshop_id","build_id","letter");--> statement-breakpoint
CREATE INDEX "runs_of_revision" ON "runs" USING btree ("workshop_id","revision_id");--> statement-breakpoint
CREATE UNIQUE INDEX "one_default_workshop" ON "workshops" USING btree ("is_default") WHERE "workshops"."is_default";--> statement-breakpoint
INSERT INTO "workshops" ("id", "name", "is_default") VALUES ('workshop', 'Workshop', true);
