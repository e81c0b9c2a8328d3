CREATE UNLOGGED TABLE "meters" (
	"id" uuid PRIMARY KEY NOT NULL,
	"client" text NOT NULL,
	"host" text NOT NULL,
	"port" integer NOT NULL,
	"identity" text NOT NULL,
	"stand_in" boolean NOT NULL,
	"measures" text NOT NULL,
	"touch" bigint DEFAULT -1 NOT NULL,
	"moving" uuid,
	"used_at" timestamp with time zone DEFAULT now() NOT NULL
);
