-- Who heads the department sees all projects' state, and nothing more of students than how many they are.
ALTER TABLE person ADD COLUMN head boolean NOT NULL DEFAULT false;
