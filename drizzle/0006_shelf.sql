CREATE TABLE "shelf_parts" (
	"id" uuid PRIMARY KEY NOT NULL,
	"family" text NOT NULL,
	"label" text NOT NULL,
	"attributes" jsonb NOT NULL,
	"place" text NOT NULL,
	"price_minor" integer NOT NULL,
	"supplier" text NOT NULL,
	"donor_machine" text,
	"tested" text NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"added_at" timestamp with time zone NOT NULL,
	"added_by" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "stock_moves" (
	"id" uuid PRIMARY KEY NOT NULL,
	"shelf_part_id" uuid NOT NULL,
	"count" integer NOT NULL,
	"reason" text NOT NULL,
	"job_id" integer,
	"at" timestamp with time zone NOT NULL,
	"by" text NOT NULL,
	CONSTRAINT "stock_moves_some" CHECK ("stock_moves"."count" <> 0)
);
--> statement-breakpoint
ALTER TABLE "stock_moves" ADD CONSTRAINT "stock_moves_shelf_part_id_shelf_parts_id_fk" FOREIGN KEY ("shelf_part_id") REFERENCES "public"."shelf_parts"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stock_moves" ADD CONSTRAINT "stock_moves_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "shelf_parts_family" ON "shelf_parts" USING btree ("family");--> statement-breakpoint
CREATE INDEX "stock_moves_part" ON "stock_moves" USING btree ("shelf_part_id","at");--> statement-breakpoint
CREATE INDEX "stock_moves_job" ON "stock_moves" USING btree ("job_id");--> statement-breakpoint
CREATE TRIGGER stock_moves_append_only BEFORE UPDATE OR DELETE ON stock_moves FOR EACH ROW EXECUTE FUNCTION refuse_change();
