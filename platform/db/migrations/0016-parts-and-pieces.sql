-- Which line of the parts list a piece is made for, and which piece a photo of a build shows.
ALTER TABLE piece ADD COLUMN part_id uuid REFERENCES part_line ON DELETE SET NULL;
CREATE INDEX ON piece (part_id);
ALTER TABLE file_use ADD COLUMN piece_id uuid REFERENCES piece ON DELETE SET NULL;
CREATE INDEX ON file_use (piece_id);
