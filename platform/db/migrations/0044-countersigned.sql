-- A student shows an entry of the own notebook to another, who has read it and signs: which version, and when.
CREATE TABLE notebook_countersign (
  id uuid PRIMARY KEY,
  entry_id uuid NOT NULL REFERENCES notebook_entry ON DELETE CASCADE,
  partner_id uuid NOT NULL REFERENCES person ON DELETE CASCADE,
  asked_at timestamptz NOT NULL DEFAULT app_now(),
  number int,
  signed_at timestamptz,
  CONSTRAINT notebook_countersign_once UNIQUE (entry_id, partner_id),
  CHECK (num_nonnulls(number, signed_at) IN (0, 2))
);
CREATE INDEX ON notebook_countersign (partner_id);
