-- Series of several readings that one instrument gave at the same time: an attempt takes all of them.
ALTER TABLE series ADD COLUMN capture uuid;
CREATE INDEX ON series (capture);
-- A simulated instrument gave it: what is taken from it never counts.
ALTER TABLE series ADD COLUMN simulated boolean NOT NULL DEFAULT false;
