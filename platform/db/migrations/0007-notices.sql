-- How many notices of writes a project has sent: a page that was made before the last one finds out that it is old.
CREATE TABLE notice_count (
  project_id uuid PRIMARY KEY REFERENCES project ON DELETE CASCADE,
  number int NOT NULL DEFAULT 1
);
