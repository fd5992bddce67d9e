-- a copy whose print was removed for good keeps its history without it
UPDATE "copies" c SET "sheet" = "sheet" - 'printId' WHERE "sheet" ? 'printId' AND NOT EXISTS (SELECT 1 FROM "prints" p WHERE p."workshop_id" = c."workshop_id" AND p."id" = c."sheet"->>'printId');--> statement-breakpoint
ALTER TABLE "copies" ADD COLUMN "print_id" text GENERATED ALWAYS AS (sheet->>'printId') STORED;--> statement-breakpoint
ALTER TABLE "copies" ADD COLUMN "version" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "failures" ADD COLUMN "version" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "prints" ADD COLUMN "version" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "copies" ADD CONSTRAINT "copies_to_print" FOREIGN KEY ("workshop_id","print_id") REFERENCES "public"."prints"("workshop_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "copies_of_print" ON "copies" USING btree ("workshop_id","print_id");