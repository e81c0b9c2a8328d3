CREATE TABLE "photos" (
	"shop_id" uuid NOT NULL,
	"job_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"width_px" integer NOT NULL,
	"height_px" integer NOT NULL,
	"jpeg" "bytea" NOT NULL,
	"received_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "photos_shop_id_job_id_id_pk" PRIMARY KEY("shop_id","job_id","id")
);
