-- An event that was copied from an earlier edition: its rules are read and ticked before anything is scored in it.
ALTER TABLE event ADD COLUMN copied boolean NOT NULL DEFAULT false;

-- Copies the rules of an event into a project, under a version of a protocol there; entries and results stay behind.
CREATE FUNCTION copy_event(wanted uuid, fresh uuid, project uuid, protocol_version uuid) RETURNS void
LANGUAGE sql AS $$
  INSERT INTO event (
    id, project_id, protocol_version_id, name, format, definition, weight, cautions, officer, starts, lanes, minutes,
    repair, copied
  )
  SELECT
    fresh, project, protocol_version, name, format, definition, weight, cautions, officer, starts, lanes, minutes,
    repair, true
  FROM event
  WHERE id = wanted
$$;
