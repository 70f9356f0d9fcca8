-- What a team leaves out of its packet's parts: each as the part and what it is of.
ALTER TABLE review ADD COLUMN packet_left text[] NOT NULL DEFAULT '{}';
