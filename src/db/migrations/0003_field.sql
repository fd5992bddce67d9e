CREATE TABLE "files" (
	"workshop_id" text NOT NULL,
	"hash" text NOT NULL,
	"type" text NOT NULL,
	"content" "bytea" NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "files_workshop_id_hash_pk" PRIMARY KEY("workshop_id","hash")
);
--> statement-breakpoint
ALTER TABLE "runs" ADD COLUMN "report" jsonb;--> statement-breakpoint
ALTER TABLE "runs" ADD COLUMN "copies" jsonb;--> statement-breakpoint
ALTER TABLE "runs" ADD COLUMN "photos" jsonb;--> statement-breakpoint
ALTER TABLE "runs" ADD COLUMN "track" jsonb;--> statement-breakpoint
ALTER TABLE "files" ADD CONSTRAINT "files_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE cascade ON UPDATE no action;