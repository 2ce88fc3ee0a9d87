-- What was done or measured, with what it depends on: the hashes of parts of the setup at that time.
CREATE TABLE evidence (
    id       INTEGER PRIMARY KEY,
    setup_id TEXT NOT NULL REFERENCES setups (id),
    kind     TEXT NOT NULL CHECK (kind IN ('bind', 'measurement')),
    taken_at TEXT NOT NULL,
    record   TEXT NOT NULL,
    basis    TEXT NOT NULL
) STRICT;

CREATE INDEX evidence_by_setup ON evidence (setup_id, kind, id);

CREATE TRIGGER evidence_is_never_changed BEFORE UPDATE ON evidence
BEGIN
    SELECT RAISE(ABORT, 'evidence is append-only');
END;

CREATE TRIGGER evidence_is_never_deleted BEFORE DELETE ON evidence
BEGIN
    SELECT RAISE(ABORT, 'evidence is append-only');
END;

-- Radio systems that pilots have written down themselves.
CREATE TABLE link_profiles (
    id       TEXT PRIMARY KEY,
    document TEXT NOT NULL,
    saved_at TEXT NOT NULL
) STRICT;
