-- The log is added to, never changed: the database itself refuses anything else.
CREATE FUNCTION refuse_change() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  RAISE EXCEPTION 'rows of % are added, never changed', TG_TABLE_NAME USING ERRCODE = 'restrict_violation';
END;
$$;
--> statement-breakpoint
CREATE TRIGGER entries_append_only BEFORE UPDATE OR DELETE ON entries FOR EACH ROW EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER loose_readings_append_only BEFORE UPDATE OR DELETE ON loose_readings FOR EACH ROW EXECUTE FUNCTION refuse_change();
