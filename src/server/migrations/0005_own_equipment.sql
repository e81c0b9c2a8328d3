CREATE TABLE "own_equipment" (
	"shop_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"title" text NOT NULL,
	"made" jsonb NOT NULL,
	"kept_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "own_equipment_shop_id_id_pk" PRIMARY KEY("shop_id","id")
);
