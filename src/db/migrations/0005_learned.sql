ALTER TABLE "revisions" ADD COLUMN "learned" text;--> statement-breakpoint
ALTER TABLE "revisions" ADD COLUMN "closed_at" text;