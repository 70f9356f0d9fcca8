-- When and by whom each team of a review is seen: everybody's hours as they were typed, and the places.
CREATE TABLE slot_plan (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  -- Of the reviews that it is for.
  title text NOT NULL CHECK (title <> ''),
  definition jsonb NOT NULL,
  created_by text NOT NULL,
  created_at timestamptz NOT NULL DEFAULT app_now(),
  version int NOT NULL DEFAULT 1,
  CONSTRAINT slot_plan_title UNIQUE (project_id, title)
);
CREATE TABLE slot (
  id uuid PRIMARY KEY,
  plan_id uuid NOT NULL REFERENCES slot_plan ON DELETE CASCADE,
  review_id uuid NOT NULL REFERENCES review ON DELETE CASCADE,
  -- When the team can come, day by day of the plan, as it was typed.
  hours text[] NOT NULL DEFAULT '{}',
  held_on date,
  -- Minutes since midnight.
  starts int CHECK (starts BETWEEN 0 AND 1439),
  room int CHECK (room >= 0),
  reviewers text[] NOT NULL DEFAULT '{}',
  began_at timestamptz,
  ended_at timestamptz,
  version int NOT NULL DEFAULT 1,
  CHECK ((held_on IS NULL) = (starts IS NULL) AND (held_on IS NULL) = (room IS NULL)),
  CHECK (ended_at IS NULL OR began_at IS NOT NULL),
  CONSTRAINT slot_once UNIQUE (review_id),
  CONSTRAINT slot_place UNIQUE (plan_id, held_on, starts, room) DEFERRABLE INITIALLY IMMEDIATE
);
CREATE INDEX ON slot (plan_id);
