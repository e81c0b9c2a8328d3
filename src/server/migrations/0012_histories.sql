CREATE TABLE "histories" (
	"origin" uuid PRIMARY KEY NOT NULL,
	"latest" uuid NOT NULL
);
--> statement-breakpoint
INSERT INTO "histories" ("origin", "latest") VALUES (gen_random_uuid(), gen_random_uuid());
