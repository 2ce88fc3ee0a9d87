-- Kinds of evidence are open to additions: the program knows them, the table need not.
CREATE TABLE evidence_of_any_kind (
    id       INTEGER PRIMARY KEY,
    setup_id TEXT NOT NULL REFERENCES setups (id),
    kind     TEXT NOT NULL CHECK (kind <> ''),
    taken_at TEXT NOT NULL,
    record   TEXT NOT NULL,
    basis    TEXT NOT NULL
) STRICT;

INSERT INTO evidence_of_any_kind SELECT id, setup_id, kind, taken_at, record, basis FROM evidence;

-- Index and triggers go with the table.
DROP TABLE evidence;

ALTER TABLE evidence_of_any_kind RENAME TO evidence;

CREATE INDEX evidence_by_setup ON evidence (setup_id, kind, id);

CREATE TRIGGER evidence_is_never_changed BEFORE UPDATE ON evidence
BEGIN
    SELECT RAISE(ABORT, 'evidence is append-only');
END;

CREATE TRIGGER evidence_is_never_deleted BEFORE DELETE ON evidence
BEGIN
    SELECT RAISE(ABORT, 'evidence is append-only');
END;
