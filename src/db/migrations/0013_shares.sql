CREATE TABLE "shares" (
	"id" text PRIMARY KEY NOT NULL,
	"workshop_id" text NOT NULL,
	"build_id" text NOT NULL,
	"token_hash" text NOT NULL,
	"shows" jsonb NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"expires_at" timestamp with time zone,
	CONSTRAINT "one_share_a_link" UNIQUE("token_hash")
);
--> statement-breakpoint
ALTER TABLE "builds" ADD COLUMN "origin" jsonb;--> statement-breakpoint
ALTER TABLE "shares" ADD CONSTRAINT "shares_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "shares" ADD CONSTRAINT "shares_of_build" FOREIGN KEY ("workshop_id","build_id") REFERENCES "public"."builds"("workshop_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "shares_by_build" ON "shares" USING btree ("workshop_id","build_id");