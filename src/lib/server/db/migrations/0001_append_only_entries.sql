-- The logbook is never erased: not by a bug, not by hand.
CREATE FUNCTION refuse_to_change_entries() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
	RAISE EXCEPTION 'the logbook is append-only: an entry is struck by another entry, never changed or deleted'
		USING ERRCODE = 'restrict_violation';
END
$$;
--> statement-breakpoint
CREATE TRIGGER entry_append_only BEFORE UPDATE OR DELETE OR TRUNCATE ON "entry"
	FOR EACH STATEMENT EXECUTE FUNCTION refuse_to_change_entries();
