CREATE TABLE "job_facts" (
	"job_id" integer PRIMARY KEY NOT NULL,
	"seq" integer NOT NULL,
	"is_here" boolean NOT NULL,
	"touched_at" timestamp with time zone NOT NULL,
	"owner_id" integer,
	"search" text NOT NULL,
	"owner_search" text NOT NULL,
	"standing" jsonb NOT NULL,
	"lesson" jsonb,
	"made_with" text NOT NULL,
	"limits_of" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "shop_counts" (
	"name" text PRIMARY KEY NOT NULL,
	"micro" bigint NOT NULL
);
--> statement-breakpoint
ALTER TABLE "job_facts" ADD CONSTRAINT "job_facts_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "job_facts_bench" ON "job_facts" USING btree ("is_here","touched_at","job_id");--> statement-breakpoint
CREATE INDEX "job_facts_owner" ON "job_facts" USING btree ("owner_id");--> statement-breakpoint
CREATE INDEX "job_facts_made_with" ON "job_facts" USING btree ("made_with");--> statement-breakpoint
-- The shop's counts are the sum of all lessons, and of who is here and who has left, whoever writes or removes one.
CREATE FUNCTION keep_shop_counts() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF TG_OP = 'UPDATE' AND new.lesson IS NOT DISTINCT FROM old.lesson AND new.is_here = old.is_here THEN
    RETURN NULL;
  END IF;
  INSERT INTO shop_counts AS kept (name, micro)
  SELECT one.name, sum(one.micro)
  FROM (
    SELECT row->>0 AS name, (row->>1)::bigint AS micro FROM jsonb_array_elements(new.lesson) row
    UNION ALL
    SELECT row->>0, -(row->>1)::bigint FROM jsonb_array_elements(old.lesson) row
    UNION ALL
    SELECT CASE WHEN new.is_here THEN '["here"]' ELSE '["gone"]' END, 1000000 WHERE TG_OP <> 'DELETE'
    UNION ALL
    SELECT CASE WHEN old.is_here THEN '["here"]' ELSE '["gone"]' END, -1000000 WHERE TG_OP <> 'INSERT'
  ) one
  GROUP BY one.name
  ORDER BY one.name
  ON CONFLICT (name) DO UPDATE SET micro = kept.micro + excluded.micro;
  RETURN NULL;
END;
$$;--> statement-breakpoint
CREATE TRIGGER job_facts_counted AFTER INSERT OR UPDATE OR DELETE ON job_facts
FOR EACH ROW EXECUTE FUNCTION keep_shop_counts();
