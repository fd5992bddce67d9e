CREATE TABLE "copies" (
	"workshop_id" text NOT NULL,
	"id" text NOT NULL,
	"revision_id" text NOT NULL,
	"sheet" jsonb NOT NULL,
	CONSTRAINT "copies_workshop_id_id_pk" PRIMARY KEY("workshop_id","id")
);
--> statement-breakpoint
CREATE TABLE "prints" (
	"workshop_id" text NOT NULL,
	"id" text NOT NULL,
	"revision_id" text NOT NULL,
	"sheet" jsonb NOT NULL,
	CONSTRAINT "prints_workshop_id_id_pk" PRIMARY KEY("workshop_id","id")
);
--> statement-breakpoint
ALTER TABLE "copies" ADD CONSTRAINT "copies_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "copies" ADD CONSTRAINT "copies_to_revision" FOREIGN KEY ("workshop_id","revision_id") REFERENCES "public"."revisions"("workshop_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "prints" ADD CONSTRAINT "prints_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "prints" ADD CONSTRAINT "prints_to_revision" FOREIGN KEY ("workshop_id","revision_id") REFERENCES "public"."revisions"("workshop_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "copies_of_revision" ON "copies" USING btree ("workshop_id","revision_id");--> statement-breakpoint
CREATE INDEX "prints_of_revision" ON "prints" USING btree ("workshop_id","revision_id");