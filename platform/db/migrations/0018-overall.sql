-- How much an event counts in the overall ranking; 0 leaves it out.
ALTER TABLE event ADD COLUMN weight numeric NOT NULL DEFAULT 1 CHECK (weight >= 0);
