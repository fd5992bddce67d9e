UPDATE "revisions" SET "document" = "document" || '{"schemaVersion": 2, "unfinished": []}'::jsonb WHERE "document"->>'schemaVersion' = '1';--> statement-breakpoint
UPDATE "runs" SET "document" = "document" || '{"schemaVersion": 2, "unfinished": []}'::jsonb WHERE "document"->>'schemaVersion' = '1';
