-- Texts of the record in one place, to be searched by their words: kept by the tables that they stand in.
CREATE EXTENSION IF NOT EXISTS btree_gin;

CREATE TABLE passage (
  kind text NOT NULL CHECK (
    kind IN ('notebook', 'statement', 'requirement', 'question', 'build', 'failure', 'review', 'action')
  ),
  -- The row that the text stands in.
  ref uuid NOT NULL,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  team_id uuid,
  -- Whose notebook it is: nobody else's reading but instructors'.
  person_id uuid,
  at timestamptz NOT NULL,
  text text NOT NULL,
  -- Cut at these signs as the words of a search are: “L/min” is two words, and so is “half-open”.
  words tsvector GENERATED ALWAYS AS (
    to_tsvector('simple', translate(plain(text), './\-_:@+~&=?#%', repeat(' ', 14)))
  ) STORED,
  PRIMARY KEY (kind, ref)
);
CREATE INDEX passage_words ON passage USING gin (project_id, words);
CREATE INDEX passage_newest ON passage (project_id, at DESC);

-- The texts of every source as they stand now; a source without words has none.
CREATE VIEW passage_source AS
  SELECT
    'notebook' AS kind, e.id AS ref, e.project_id, NULL::uuid AS team_id, e.person_id, v.written_at AS at, v.text
  FROM notebook_entry e
  JOIN LATERAL (SELECT * FROM notebook_version WHERE entry_id = e.id ORDER BY number DESC LIMIT 1) v ON true
  UNION ALL
  SELECT 'statement', id, project_id, NULL, NULL, created_at, text
  FROM statement
  WHERE merged_into IS NULL AND set_aside IS NULL
  UNION ALL
  SELECT 'requirement', r.id, r.project_id, NULL, NULL, v.created_at, concat_ws(' · ', r.code, v.statement, v.reason)
  FROM requirement r
  JOIN LATERAL (SELECT * FROM requirement_version WHERE requirement_id = r.id ORDER BY number DESC LIMIT 1) v ON true
  WHERE r.retired_at IS NULL
  UNION ALL
  SELECT 'question', id, project_id, NULL, NULL, created_at, text
  FROM question
  WHERE merged_into IS NULL AND NOT dropped
  UNION ALL
  SELECT
    'build', id, project_id, team_id, NULL, created_at,
    concat_ws(
      ' · ', nullif(what_changed, ''), nullif(why, ''), nullif(expected, ''), nullif(good, ''), nullif(not_good, ''),
      nullif(learned, ''), nullif(array_to_string(features, ', '), '')
    )
  FROM build
  UNION ALL
  SELECT
    'failure', f.id, f.project_id, b.team_id, NULL, f.recorded_at,
    concat_ws(' · ', f.mode, nullif(f.place, ''), nullif(f.cause, ''), nullif(f.next_step, ''))
  FROM failure f
  JOIN build b ON b.id = f.build_id
  UNION ALL
  SELECT
    'review', r.id, r.project_id, r.team_id, NULL, coalesce(r.decided_at, r.held_on::timestamptz),
    concat_ws(
      ' · ', r.title, nullif(r.verdict_note, ''),
      (
        SELECT string_agg(concat_ws(' ', q.question, nullif(q.answer, '')), ' · ' ORDER BY q.asked_at)
        FROM review_question q
        WHERE q.review_id = r.id
      )
    )
  FROM review r
  UNION ALL
  SELECT
    'action', a.id, a.project_id, a.team_id, NULL, coalesce(a.closed_at, r.held_on::timestamptz),
    concat_ws(' · ', a.what, nullif(a.closing_evidence, ''))
  FROM action_item a
  JOIN review r ON r.id = a.review_id;

-- Writes a source's text anew; without words, or without the source, it goes.
CREATE FUNCTION keep_passage(of_kind text, of_ref uuid) RETURNS void LANGUAGE plpgsql AS $$
BEGIN
  DELETE FROM passage WHERE kind = of_kind AND ref = of_ref;
  INSERT INTO passage (kind, ref, project_id, team_id, person_id, at, text)
  SELECT kind, ref, project_id, team_id, person_id, at, text
  FROM passage_source
  WHERE kind = of_kind AND ref = of_ref AND text <> '';
END
$$;

-- The trigger's first argument is the kind, its second the column that names the source.
CREATE FUNCTION passage_moved() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF TG_OP <> 'INSERT' THEN PERFORM keep_passage(TG_ARGV[0], (to_jsonb(OLD) ->> TG_ARGV[1])::uuid); END IF;
  IF TG_OP <> 'DELETE' THEN PERFORM keep_passage(TG_ARGV[0], (to_jsonb(NEW) ->> TG_ARGV[1])::uuid); END IF;
  RETURN NULL;
END
$$;

CREATE TRIGGER passage AFTER INSERT OR UPDATE OR DELETE ON notebook_entry
FOR EACH ROW EXECUTE FUNCTION passage_moved('notebook', 'id');
CREATE TRIGGER passage AFTER INSERT OR UPDATE OR DELETE ON notebook_version
FOR EACH ROW EXECUTE FUNCTION passage_moved('notebook', 'entry_id');
CREATE TRIGGER passage AFTER INSERT OR UPDATE OR DELETE ON statement
FOR EACH ROW EXECUTE FUNCTION passage_moved('statement', 'id');
CREATE TRIGGER passage AFTER INSERT OR UPDATE OR DELETE ON requirement
FOR EACH ROW EXECUTE FUNCTION passage_moved('requirement', 'id');
CREATE TRIGGER passage AFTER INSERT OR UPDATE OR DELETE ON requirement_version
FOR EACH ROW EXECUTE FUNCTION passage_moved('requirement', 'requirement_id');
CREATE TRIGGER passage AFTER INSERT OR UPDATE OR DELETE ON question
FOR EACH ROW EXECUTE FUNCTION passage_moved('question', 'id');
CREATE TRIGGER passage AFTER INSERT OR UPDATE OR DELETE ON build
FOR EACH ROW EXECUTE FUNCTION passage_moved('build', 'id');
CREATE TRIGGER passage AFTER INSERT OR UPDATE OR DELETE ON failure
FOR EACH ROW EXECUTE FUNCTION passage_moved('failure', 'id');
CREATE TRIGGER passage AFTER INSERT OR UPDATE OR DELETE ON review
FOR EACH ROW EXECUTE FUNCTION passage_moved('review', 'id');
CREATE TRIGGER passage AFTER INSERT OR UPDATE OR DELETE ON review_question
FOR EACH ROW EXECUTE FUNCTION passage_moved('review', 'review_id');
CREATE TRIGGER passage AFTER INSERT OR UPDATE OR DELETE ON action_item
FOR EACH ROW EXECUTE FUNCTION passage_moved('action', 'id');

INSERT INTO passage (kind, ref, project_id, team_id, person_id, at, text)
SELECT kind, ref, project_id, team_id, person_id, at, text FROM passage_source WHERE text <> '';
