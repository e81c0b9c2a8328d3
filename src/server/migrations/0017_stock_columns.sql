CREATE TABLE "stock_counts" (
	"shop_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"lines" integer NOT NULL,
	"on_hand" integer NOT NULL,
	"short" integer NOT NULL,
	CONSTRAINT "stock_counts_shop_id_kind_pk" PRIMARY KEY("shop_id","kind")
);
--> statement-breakpoint
DROP INDEX "stock_by_name";--> statement-breakpoint
DROP INDEX "stock_by_part";--> statement-breakpoint
ALTER TABLE "stock_items" ADD COLUMN "in_use" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
UPDATE "stock_items" s SET "in_use" = u.pieces FROM (
	SELECT "shop_id", "item_id", sum("count")::int AS pieces FROM "stock_uses" GROUP BY "shop_id", "item_id"
) u WHERE s."shop_id" = u."shop_id" AND s."id" = u."item_id";--> statement-breakpoint
ALTER TABLE "stock_items" ADD COLUMN "on_hand" integer GENERATED ALWAYS AS (count - in_use) STORED NOT NULL;--> statement-breakpoint
ALTER TABLE "stock_items" ADD COLUMN "short" boolean GENERATED ALWAYS AS (count - in_use < minimum) STORED NOT NULL;--> statement-breakpoint
ALTER TABLE "stock_items" ADD COLUMN "motor_kind" text;--> statement-breakpoint
ALTER TABLE "stock_items" ADD COLUMN "phase" integer;--> statement-breakpoint
ALTER TABLE "stock_items" ADD COLUMN "poles" integer;--> statement-breakpoint
ALTER TABLE "stock_items" ADD COLUMN "supplies" "nummultirange";--> statement-breakpoint
ALTER TABLE "stock_items" ADD COLUMN "read_plate" jsonb;--> statement-breakpoint
ALTER TABLE "stock_items" ADD COLUMN "figured" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
CREATE INDEX "stock_by_poles" ON "stock_items" USING btree ("shop_id","kind","poles","power_watts");--> statement-breakpoint
CREATE INDEX "stock_named" ON "stock_items" USING btree ("shop_id","name","id");--> statement-breakpoint
CREATE INDEX "stock_by_place" ON "stock_items" USING btree ("shop_id","place","name","id");--> statement-breakpoint
CREATE INDEX "stock_by_on_hand" ON "stock_items" USING btree ("shop_id","on_hand","name","id");--> statement-breakpoint
CREATE INDEX "stock_by_power" ON "stock_items" USING btree ("shop_id","power_watts","name","id");--> statement-breakpoint
CREATE INDEX "stock_by_power_down" ON "stock_items" USING btree ("shop_id","power_watts" DESC NULLS LAST,"name","id");--> statement-breakpoint
CREATE INDEX "stock_by_rpm" ON "stock_items" USING btree ("shop_id","rpm","name","id");--> statement-breakpoint
CREATE INDEX "stock_by_rpm_down" ON "stock_items" USING btree ("shop_id","rpm" DESC NULLS LAST,"name","id");--> statement-breakpoint
CREATE INDEX "stock_by_volts" ON "stock_items" USING btree ("shop_id","volts","name","id");--> statement-breakpoint
CREATE INDEX "stock_by_volts_down" ON "stock_items" USING btree ("shop_id","volts" DESC NULLS LAST,"name","id");--> statement-breakpoint
CREATE INDEX "stock_by_microfarads" ON "stock_items" USING btree ("shop_id","microfarads","name","id");--> statement-breakpoint
CREATE INDEX "stock_by_microfarads_down" ON "stock_items" USING btree ("shop_id","microfarads" DESC NULLS LAST,"name","id");--> statement-breakpoint
CREATE INDEX "stock_by_cost" ON "stock_items" USING btree ("shop_id","cost","name","id");--> statement-breakpoint
CREATE INDEX "stock_by_cost_down" ON "stock_items" USING btree ("shop_id","cost" DESC NULLS LAST,"name","id");--> statement-breakpoint
CREATE INDEX "stock_short" ON "stock_items" USING btree ("shop_id","name","id") WHERE short;--> statement-breakpoint
CREATE INDEX "stock_by_words" ON "stock_items" USING gin ("words" gin_trgm_ops) WITH (fastupdate=true,gin_pending_list_limit=1024);--> statement-breakpoint
CREATE INDEX "stock_by_name" ON "stock_items" USING btree ("shop_id","kind","name","id");--> statement-breakpoint
CREATE INDEX "stock_by_part" ON "stock_items" USING btree ("shop_id","part","name","id");--> statement-breakpoint
INSERT INTO "stock_counts" ("shop_id", "kind", "lines", "on_hand", "short")
SELECT "shop_id", "kind", count(*), count(*) FILTER (WHERE "on_hand" > 0), count(*) FILTER (WHERE "short")
FROM "stock_items" GROUP BY "shop_id", "kind";--> statement-breakpoint
CREATE FUNCTION "count_stock"() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
	IF TG_OP = 'INSERT' THEN
		INSERT INTO "stock_counts" AS c
		SELECT "shop_id", "kind", count(*), count(*) FILTER (WHERE "on_hand" > 0), count(*) FILTER (WHERE "short")
		FROM now_there GROUP BY "shop_id", "kind"
		ON CONFLICT ("shop_id", "kind") DO UPDATE SET "lines" = c."lines" + excluded."lines",
			"on_hand" = c."on_hand" + excluded."on_hand", "short" = c."short" + excluded."short";
	ELSIF TG_OP = 'DELETE' THEN
		UPDATE "stock_counts" c SET "lines" = c."lines" - w."lines", "on_hand" = c."on_hand" - w."on_hand",
			"short" = c."short" - w."short"
		FROM (
			SELECT "shop_id", "kind", count(*) AS "lines", count(*) FILTER (WHERE "on_hand" > 0) AS "on_hand",
				count(*) FILTER (WHERE "short") AS "short"
			FROM was_there GROUP BY "shop_id", "kind"
		) w WHERE c."shop_id" = w."shop_id" AND c."kind" = w."kind";
	ELSE
		INSERT INTO "stock_counts" AS c
		SELECT "shop_id", "kind", sum("sign"), coalesce(sum("sign") FILTER (WHERE "on_hand" > 0), 0),
			coalesce(sum("sign") FILTER (WHERE "short"), 0)
		FROM (
			SELECT "shop_id", "kind", "on_hand", "short", 1 AS "sign" FROM now_there
			UNION ALL SELECT "shop_id", "kind", "on_hand", "short", -1 FROM was_there
		) changed GROUP BY "shop_id", "kind"
		HAVING sum("sign") <> 0 OR sum("sign") FILTER (WHERE "on_hand" > 0) <> 0 OR sum("sign") FILTER (WHERE "short") <> 0
		ON CONFLICT ("shop_id", "kind") DO UPDATE SET "lines" = c."lines" + excluded."lines",
			"on_hand" = c."on_hand" + excluded."on_hand", "short" = c."short" + excluded."short";
	END IF;
	RETURN NULL;
END $$;--> statement-breakpoint
CREATE TRIGGER "stock_counted_in" AFTER INSERT ON "stock_items"
REFERENCING NEW TABLE AS now_there FOR EACH STATEMENT EXECUTE FUNCTION "count_stock"();--> statement-breakpoint
CREATE TRIGGER "stock_counted_out" AFTER DELETE ON "stock_items"
REFERENCING OLD TABLE AS was_there FOR EACH STATEMENT EXECUTE FUNCTION "count_stock"();--> statement-breakpoint
CREATE TRIGGER "stock_counted_anew" AFTER UPDATE ON "stock_items"
REFERENCING OLD TABLE AS was_there NEW TABLE AS now_there FOR EACH STATEMENT EXECUTE FUNCTION "count_stock"();
