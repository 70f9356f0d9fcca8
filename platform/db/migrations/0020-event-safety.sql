-- What has to be so before an event begins, who says that it is, and who stopped it why: nothing is scored meanwhile.
ALTER TABLE event ADD COLUMN cautions text[] NOT NULL DEFAULT '{}';
ALTER TABLE event ADD COLUMN officer text NOT NULL DEFAULT '';

CREATE TABLE event_check (
  id uuid PRIMARY KEY,
  event_id uuid NOT NULL REFERENCES event ON DELETE CASCADE,
  on_date date NOT NULL,
  cautions text[] NOT NULL,
  -- The name that was signed with.
  signed text NOT NULL CHECK (signed <> ''),
  recorded_by text NOT NULL,
  recorded_at timestamptz NOT NULL DEFAULT app_now(),
  CONSTRAINT event_check_day UNIQUE (event_id, on_date)
);

CREATE TABLE event_halt (
  id uuid PRIMARY KEY,
  event_id uuid NOT NULL REFERENCES event ON DELETE CASCADE,
  reason text NOT NULL CHECK (reason <> ''),
  halted_by text NOT NULL,
  halted_at timestamptz NOT NULL DEFAULT app_now(),
  lifted_by text,
  lifted_at timestamptz,
  lift_note text NOT NULL DEFAULT '',
  CHECK ((lifted_by IS NULL) = (lifted_at IS NULL))
);
CREATE INDEX ON event_halt (event_id);
CREATE UNIQUE INDEX event_halt_open ON event_halt (event_id) WHERE lifted_at IS NULL;
