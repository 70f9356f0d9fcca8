-- One class of a section on a day: what it is for, its course in minutes, whether attendance was taken, what was seen.
CREATE TABLE class_day (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  section_id uuid NOT NULL REFERENCES section ON DELETE CASCADE,
  on_date date NOT NULL,
  purpose text NOT NULL DEFAULT '',
  agenda text NOT NULL DEFAULT '',
  remark text NOT NULL DEFAULT '',
  taken_by text,
  taken_at timestamptz,
  began_at timestamptz,
  -- Of its plan and of the remark: they are written at different times, by different people.
  version int NOT NULL DEFAULT 0,
  remark_version int NOT NULL DEFAULT 0,
  CONSTRAINT class_day_once UNIQUE (project_id, section_id, on_date),
  CHECK (num_nonnulls(taken_by, taken_at) IN (0, 2))
);
CREATE INDEX ON class_day (section_id);

-- Who was not in class from its beginning to its end; everybody else was. No reasons: they are the school's.
CREATE TABLE attendance (
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  section_id uuid NOT NULL REFERENCES section ON DELETE CASCADE,
  person_id uuid NOT NULL REFERENCES person ON DELETE CASCADE,
  on_date date NOT NULL,
  state text NOT NULL CHECK (state IN ('absent', 'excused', 'late', 'left early')),
  minutes int CHECK (minutes BETWEEN 1 AND 600),
  set_by text NOT NULL,
  set_at timestamptz NOT NULL DEFAULT app_now(),
  PRIMARY KEY (project_id, person_id, on_date),
  CHECK (minutes IS NULL OR state IN ('late', 'left early'))
);
CREATE INDEX ON attendance (person_id);
CREATE INDEX ON attendance (section_id, on_date);
