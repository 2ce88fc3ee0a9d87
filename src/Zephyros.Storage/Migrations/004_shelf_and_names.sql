-- A craft is put away and brought back; the newest row of a craft says which. Nothing of it is deleted.
CREATE TABLE shelf (
    id       INTEGER PRIMARY KEY,
    setup_id TEXT    NOT NULL REFERENCES setups (id),
    away     INTEGER NOT NULL CHECK (away IN (0, 1)),
    at       TEXT    NOT NULL
) STRICT;

CREATE INDEX shelf_by_setup ON shelf (setup_id, id);

CREATE TRIGGER shelf_is_never_changed BEFORE UPDATE ON shelf
BEGIN
    SELECT RAISE(ABORT, 'the shelf is append-only');
END;

CREATE TRIGGER shelf_is_never_deleted BEFORE DELETE ON shelf
BEGIN
    SELECT RAISE(ABORT, 'the shelf is append-only');
END;

-- What the pilot calls a revision, such as "as flown"; the newest name counts, an empty one takes it back.
CREATE TABLE revision_names (
    id       INTEGER PRIMARY KEY,
    setup_id TEXT    NOT NULL,
    number   INTEGER NOT NULL,
    name     TEXT    NOT NULL,
    at       TEXT    NOT NULL,
    FOREIGN KEY (setup_id, number) REFERENCES revisions (setup_id, number)
) STRICT;

CREATE INDEX revision_names_by_revision ON revision_names (setup_id, number, id);

CREATE TRIGGER revision_names_are_never_changed BEFORE UPDATE ON revision_names
BEGIN
    SELECT RAISE(ABORT, 'names of revisions are append-only');
END;

CREATE TRIGGER revision_names_are_never_deleted BEFORE DELETE ON revision_names
BEGIN
    SELECT RAISE(ABORT, 'names of revisions are append-only');
END;
