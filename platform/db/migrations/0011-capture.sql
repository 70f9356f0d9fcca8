-- Series of several readings that one instrument gave at the same time: an attempt takes all of them.
ALTER TABLE series ADD COLUMN capture uuid;
CREATE INDEX ON series (capture);
