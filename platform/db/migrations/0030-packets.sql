-- What a team shows in the packet of a review, in the team's order; empty: everything.
ALTER TABLE review ADD COLUMN packet text[] NOT NULL DEFAULT '{}';
