CREATE TABLE "stock_imports" (
	"shop_id" uuid NOT NULL,
	"import_id" uuid NOT NULL,
	"rows" integer NOT NULL,
	"added" integer NOT NULL,
	"changed" integer NOT NULL,
	"finished_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "stock_imports_shop_id_import_id_pk" PRIMARY KEY("shop_id","import_id")
);
--> statement-breakpoint
ALTER TABLE "stock_items" ADD COLUMN "version" integer DEFAULT 1 NOT NULL;