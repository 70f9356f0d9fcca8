-- A mark as it was typed into the gradebook: 17 of 20, a letter, "ex" with its reason.
ALTER TABLE entered_mark ADD COLUMN typed text NOT NULL DEFAULT '';
