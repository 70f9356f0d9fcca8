-- What a build is made of: mass of one piece in kg and price of one.
CREATE TABLE part_line (
  id uuid PRIMARY KEY,
  build_id uuid NOT NULL REFERENCES build ON DELETE CASCADE,
  name text NOT NULL CHECK (name <> ''),
  count int NOT NULL DEFAULT 1 CHECK (count BETWEEN 1 AND 9999),
  mass numeric CHECK (mass >= 0),
  cost numeric CHECK (cost >= 0),
  source text NOT NULL DEFAULT 'bought' CHECK (source IN ('bought', 'stock', 'donated', 'made')),
  supplier text NOT NULL DEFAULT '',
  -- Quantities as they were typed.
  entered jsonb NOT NULL DEFAULT '{}',
  version int NOT NULL DEFAULT 1
);
CREATE UNIQUE INDEX part_line_name ON part_line (build_id, lower(name));

-- What failed, where, why as far as is known, and which build took it up.
CREATE TABLE failure (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  build_id uuid NOT NULL REFERENCES build ON DELETE CASCADE,
  mode text NOT NULL CHECK (mode <> ''),
  place text NOT NULL DEFAULT '',
  cause text NOT NULL DEFAULT '',
  severity text NOT NULL CHECK (severity IN ('blemish', 'worse', 'stop', 'danger')),
  next_step text NOT NULL DEFAULT '',
  closed_by uuid REFERENCES build ON DELETE SET NULL,
  -- A pin on a photo, as shares of its width and height.
  photo_id uuid REFERENCES file_use ON DELETE SET NULL,
  pin_x numeric CHECK (pin_x BETWEEN 0 AND 1),
  pin_y numeric CHECK (pin_y BETWEEN 0 AND 1),
  recorded_by text NOT NULL,
  recorded_at timestamptz NOT NULL DEFAULT app_now(),
  version int NOT NULL DEFAULT 1
);
CREATE INDEX ON failure (project_id);
CREATE INDEX ON failure (build_id);

-- A feature of the build before that this one does without, and why.
CREATE TABLE feature_drop (
  build_id uuid NOT NULL REFERENCES build ON DELETE CASCADE,
  feature text NOT NULL CHECK (feature <> ''),
  reason text NOT NULL DEFAULT '',
  PRIMARY KEY (build_id, feature)
);

-- What was measured when somebody looked: the exact value and what was typed; a finding without a number has neither.
ALTER TABLE evidence ADD value numeric CHECK (value IS NULL OR kind = 'finding');
ALTER TABLE evidence ADD entered text NOT NULL DEFAULT '';

-- A notebook is read a page at a time, the newest first.
CREATE INDEX ON notebook_entry (project_id, on_date DESC, created_at DESC);
