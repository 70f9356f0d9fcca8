-- The shop: shared machines and who is trained for them, bookings, checks, incidents, stock, kits, plans of cuts.
CREATE EXTENSION IF NOT EXISTS btree_gist;

-- Local rules and licensed people come first; who may train; how long a training holds; what is looked at each day.
ALTER TABLE tool
  ADD COLUMN rules text NOT NULL DEFAULT '',
  ADD COLUMN trainers text NOT NULL DEFAULT '',
  ADD COLUMN place text NOT NULL DEFAULT '',
  ADD COLUMN months int CHECK (months BETWEEN 1 AND 60),
  ADD COLUMN shared boolean NOT NULL DEFAULT false,
  ADD COLUMN checks text[] NOT NULL DEFAULT '{}';
-- A training that never ends has no day.
ALTER TABLE tool_sign_off ADD COLUMN expires_on date;

CREATE TABLE booking (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  tool_id uuid NOT NULL REFERENCES tool ON DELETE CASCADE,
  team_id uuid NOT NULL REFERENCES team ON DELETE CASCADE,
  -- Who stands at the machine.
  operator_id uuid REFERENCES person ON DELETE SET NULL,
  piece_id uuid REFERENCES piece ON DELETE SET NULL,
  what text NOT NULL CHECK (what <> ''),
  material text NOT NULL DEFAULT '',
  -- Of what there is no more: it is cut right the first time.
  once boolean NOT NULL DEFAULT false,
  minutes int NOT NULL CHECK (minutes BETWEEN 1 AND 600),
  need_by date NOT NULL,
  asked_by text NOT NULL,
  asked_at timestamptz NOT NULL DEFAULT app_now(),
  -- Where it stands: a section's session of a day, from its first minute on.
  section_id uuid REFERENCES section ON DELETE SET NULL,
  on_date date,
  period int CHECK (period BETWEEN 1 AND 4),
  starts int CHECK (starts BETWEEN 0 AND 600),
  started_at timestamptz,
  started_by text,
  ended_at timestamptz,
  used_minutes int CHECK (used_minutes BETWEEN 1 AND 1440),
  outcome text CHECK (outcome IN ('done', 'not finished', 'spoilt')),
  seen text NOT NULL DEFAULT '',
  version int NOT NULL DEFAULT 1,
  CHECK (num_nonnulls(on_date, period, starts) IN (0, 3)),
  CHECK (num_nonnulls(used_minutes, outcome, ended_at) IN (0, 3)),
  CONSTRAINT booking_once_at_a_time EXCLUDE USING gist (
    tool_id WITH =, section_id WITH =, on_date WITH =, period WITH =, int4range(starts, starts + minutes) WITH &&
  ) WHERE (on_date IS NOT NULL)
);
CREATE INDEX ON booking (project_id, on_date);
CREATE INDEX ON booking (team_id);

-- What was looked at on a machine on a day, before it ran.
CREATE TABLE machine_check (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  tool_id uuid NOT NULL REFERENCES tool ON DELETE CASCADE,
  on_date date NOT NULL,
  lines text[] NOT NULL CHECK (lines <> '{}'),
  checked_by text NOT NULL,
  checked_at timestamptz NOT NULL DEFAULT app_now()
);
CREATE INDEX ON machine_check (project_id, on_date);

CREATE TABLE incident (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  tool_id uuid REFERENCES tool ON DELETE SET NULL,
  kind text NOT NULL CHECK (kind IN ('near miss', 'damage', 'first aid', 'injury')),
  on_date date NOT NULL,
  place text NOT NULL DEFAULT '',
  what text NOT NULL CHECK (what <> ''),
  done text NOT NULL DEFAULT '',
  told text NOT NULL DEFAULT '',
  changed text NOT NULL DEFAULT '',
  reported_by text NOT NULL,
  reported_at timestamptz NOT NULL DEFAULT app_now(),
  closed_at timestamptz,
  closed_by text,
  version int NOT NULL DEFAULT 1
);
CREATE INDEX ON incident (project_id, on_date);

CREATE TABLE stock_item (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  name text NOT NULL CHECK (name <> ''),
  form text NOT NULL CHECK (form IN ('pieces', 'sheets', 'bars', 'metres', 'kilograms', 'litres')),
  -- Of a sheet or bar, in metres.
  length numeric CHECK (length > 0),
  width numeric CHECK (width > 0),
  size_text text NOT NULL DEFAULT '',
  price numeric CHECK (price >= 0),
  place text NOT NULL DEFAULT '',
  supplier text NOT NULL DEFAULT '',
  -- Below this it is bought again.
  low numeric CHECK (low >= 0),
  donated boolean NOT NULL DEFAULT false,
  version int NOT NULL DEFAULT 1
);
CREATE UNIQUE INDEX stock_item_name ON stock_item (project_id, lower(name));
-- What came and went; what is there is their sum.
CREATE TABLE stock_move (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  item_id uuid NOT NULL REFERENCES stock_item ON DELETE CASCADE,
  kind text NOT NULL CHECK (kind IN ('bought', 'given', 'taken', 'handed back', 'scrapped', 'counted')),
  amount numeric NOT NULL,
  team_id uuid REFERENCES team ON DELETE SET NULL,
  note text NOT NULL DEFAULT '',
  made_by text NOT NULL,
  on_date date NOT NULL,
  made_at timestamptz NOT NULL DEFAULT app_now()
);
CREATE INDEX ON stock_move (item_id);
CREATE INDEX ON stock_move (project_id);
-- Parts that are taken from the stock, and those that were bought for a team.
ALTER TABLE part_line ADD COLUMN stock_item_id uuid REFERENCES stock_item ON DELETE SET NULL;
ALTER TABLE part_line ADD COLUMN got_on date;
ALTER TABLE part_line ADD COLUMN got_by text;

CREATE TABLE kit (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  name text NOT NULL CHECK (name <> ''),
  -- What is in it and how often, in order.
  contents jsonb NOT NULL DEFAULT '[]',
  version int NOT NULL DEFAULT 1
);
CREATE UNIQUE INDEX kit_name ON kit (project_id, lower(name));
CREATE TABLE kit_out (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  kit_id uuid NOT NULL REFERENCES kit ON DELETE CASCADE,
  team_id uuid NOT NULL REFERENCES team ON DELETE CASCADE,
  -- What was handed out then.
  contents jsonb NOT NULL,
  out_on date NOT NULL,
  out_by text NOT NULL,
  -- What was counted back, in the same order.
  counted int[],
  back_on date,
  back_by text,
  note text NOT NULL DEFAULT '',
  version int NOT NULL DEFAULT 1,
  CHECK (num_nonnulls(counted, back_on, back_by) IN (0, 3))
);
CREATE INDEX ON kit_out (project_id);
CREATE UNIQUE INDEX kit_out_once ON kit_out (kit_id, team_id) WHERE back_on IS NULL;

-- Pieces that are cut from blanks, as they were typed; the plan is found when it is opened.
CREATE TABLE cut_list (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  team_id uuid REFERENCES team ON DELETE CASCADE,
  title text NOT NULL CHECK (title <> ''),
  kind text NOT NULL CHECK (kind IN ('bars', 'sheets')),
  way text NOT NULL CHECK (way IN ('edge', 'free')),
  kerf text NOT NULL DEFAULT '',
  border text NOT NULL DEFAULT '',
  blanks text NOT NULL,
  pieces text NOT NULL,
  -- The unit of bare figures then.
  unit text NOT NULL,
  made_by text NOT NULL,
  made_at timestamptz NOT NULL DEFAULT app_now(),
  version int NOT NULL DEFAULT 1
);
CREATE INDEX ON cut_list (project_id);
