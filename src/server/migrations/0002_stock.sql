CREATE TABLE "stock_import_rows" (
	"shop_id" uuid NOT NULL,
	"import_id" uuid NOT NULL,
	"row" integer NOT NULL,
	"item" jsonb NOT NULL,
	"arrived_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "stock_import_rows_shop_id_import_id_row_pk" PRIMARY KEY("shop_id","import_id","row")
);
--> statement-breakpoint
CREATE TABLE "stock_items" (
	"shop_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"kind" text NOT NULL,
	"name" text NOT NULL,
	"part" text NOT NULL,
	"place" text NOT NULL,
	"count" integer NOT NULL,
	"minimum" integer NOT NULL,
	"cost" double precision,
	"power_watts" double precision,
	"rpm" double precision,
	"volts" double precision,
	"microfarads" double precision,
	"words" text NOT NULL,
	"item" jsonb NOT NULL,
	"changed_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "stock_items_shop_id_id_pk" PRIMARY KEY("shop_id","id")
);
--> statement-breakpoint
CREATE TABLE "stock_uses" (
	"shop_id" uuid NOT NULL,
	"job_id" uuid NOT NULL,
	"item_id" uuid NOT NULL,
	"count" integer NOT NULL,
	CONSTRAINT "stock_uses_shop_id_job_id_item_id_pk" PRIMARY KEY("shop_id","job_id","item_id")
);
--> statement-breakpoint
CREATE INDEX "stock_by_name" ON "stock_items" USING btree ("shop_id","kind","name");--> statement-breakpoint
CREATE INDEX "stock_by_part" ON "stock_items" USING btree ("shop_id","part");--> statement-breakpoint
CREATE INDEX "stock_uses_by_item" ON "stock_uses" USING btree ("shop_id","item_id");