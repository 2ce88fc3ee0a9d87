CREATE TABLE setups (
    id         TEXT PRIMARY KEY,
    created_at TEXT NOT NULL
) STRICT;

-- One row for each saved state. An undo or redo stores no document of its own: it points at the revision whose document it shows.
CREATE TABLE revisions (
    setup_id TEXT    NOT NULL REFERENCES setups (id),
    number   INTEGER NOT NULL CHECK (number > 0),
    kind     TEXT    NOT NULL CHECK (kind IN ('create', 'edit', 'undo', 'redo')),
    title    TEXT    NOT NULL,
    shows    INTEGER NOT NULL,
    parent   INTEGER,
    document TEXT,
    saved_at TEXT    NOT NULL,
    PRIMARY KEY (setup_id, number),
    FOREIGN KEY (setup_id, shows) REFERENCES revisions (setup_id, number),
    FOREIGN KEY (setup_id, parent) REFERENCES revisions (setup_id, number),
    CHECK ((document IS NOT NULL) = (shows = number)),
    CHECK ((document IS NOT NULL) = (kind IN ('create', 'edit'))),
    CHECK ((parent IS NULL) = (kind <> 'edit'))
) STRICT;

CREATE TRIGGER revisions_are_never_changed BEFORE UPDATE ON revisions
BEGIN
    SELECT RAISE(ABORT, 'revisions are append-only');
END;

CREATE TRIGGER revisions_are_never_deleted BEFORE DELETE ON revisions
BEGIN
    SELECT RAISE(ABORT, 'revisions are append-only');
END;
