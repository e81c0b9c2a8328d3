ALTER TABLE "facts" ADD COLUMN "device" uuid;--> statement-breakpoint
ALTER TABLE "facts" ADD COLUMN "seq" bigint;