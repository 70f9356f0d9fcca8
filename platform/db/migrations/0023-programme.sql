-- When an event begins on the day (minutes after midnight; null: it is not in the programme), and how it is run.
ALTER TABLE event ADD COLUMN starts int CHECK (starts BETWEEN 0 AND 1439);
ALTER TABLE event ADD COLUMN lanes int NOT NULL DEFAULT 1 CHECK (lanes BETWEEN 1 AND 30);
ALTER TABLE event ADD COLUMN minutes numeric NOT NULL DEFAULT 5 CHECK (minutes > 0 AND minutes <= 240);
ALTER TABLE event ADD COLUMN repair int NOT NULL DEFAULT 10 CHECK (repair BETWEEN 0 AND 240);
