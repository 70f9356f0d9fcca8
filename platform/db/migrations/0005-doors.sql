-- Sign-in names, counted guesses, sessions that can be told apart; what was typed beside the exact value.

ALTER TABLE person ADD login_name text CHECK (login_name = lower(login_name) AND login_name <> '');
CREATE UNIQUE INDEX person_login_name_key ON person (login_name);

ALTER TABLE session_token ADD begun_at timestamptz NOT NULL DEFAULT now();

-- Guesses at one door: counted before they are looked at; the next is heard from free_at on.
DROP TABLE sign_in_attempt;
CREATE TABLE guess (
  key text PRIMARY KEY,
  n integer NOT NULL,
  at timestamptz NOT NULL DEFAULT clock_timestamp(),
  free_at timestamptz NOT NULL DEFAULT clock_timestamp()
);

-- A guest's device that has shown its PIN once.
CREATE TABLE known_device (
  hash text PRIMARY KEY,
  link_id uuid NOT NULL REFERENCES guest_link ON DELETE CASCADE,
  at timestamptz NOT NULL DEFAULT now()
);
CREATE INDEX ON known_device (link_id);

-- What was typed for a mass, a cost and a size, as it was typed, by field.
ALTER TABLE build ADD entered jsonb NOT NULL DEFAULT '{}';
ALTER TABLE concept ADD entered jsonb NOT NULL DEFAULT '{}';

-- Names in the order in which people look for them: Team 2 before Team 10, Ç and Ł beside C and L.
CREATE COLLATION by_name (provider = icu, locale = 'und-u-kn-true');
ALTER TABLE project ALTER title TYPE text COLLATE by_name;
ALTER TABLE person ALTER name TYPE text COLLATE by_name;
ALTER TABLE section ALTER name TYPE text COLLATE by_name;
ALTER TABLE team ALTER name TYPE text COLLATE by_name;
ALTER TABLE requirement ALTER code TYPE text COLLATE by_name;
ALTER TABLE protocol ALTER name TYPE text COLLATE by_name;
ALTER TABLE event ALTER name TYPE text COLLATE by_name;
ALTER TABLE rubric ALTER name TYPE text COLLATE by_name;
ALTER TABLE concept ALTER title TYPE text COLLATE by_name;
ALTER TABLE milestone ALTER title TYPE text COLLATE by_name;
ALTER TABLE task ALTER title TYPE text COLLATE by_name;
ALTER TABLE part ALTER name TYPE text COLLATE by_name;
ALTER TABLE tool ALTER name TYPE text COLLATE by_name;

-- Search hears angstr in Ångström, and celik in Çelik.
CREATE FUNCTION plain(t text) RETURNS text LANGUAGE sql IMMUTABLE AS $$
  SELECT regexp_replace(
    translate(lower(normalize(t, NFD)), 'łøđðıß', 'loddis'), '[\u0300-\u036f]', '', 'g'
  )
$$;
