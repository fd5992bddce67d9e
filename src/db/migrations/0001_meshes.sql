CREATE TABLE "meshes" (
	"workshop_id" text NOT NULL,
	"hash" text NOT NULL,
	"content" "bytea" NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "meshes_workshop_id_hash_pk" PRIMARY KEY("workshop_id","hash")
);
--> statement-breakpoint
ALTER TABLE "meshes" ADD CONSTRAINT "meshes_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE cascade ON UPDATE no action;