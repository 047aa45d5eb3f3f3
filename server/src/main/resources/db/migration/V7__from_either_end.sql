-- Where the tape was hooked for the reading of a mark that may be measured from the back of a bend. What was read before this
-- was read from the end of the straight conduit, and so is every other reading.
alter table reading
    add column measured_from text
        constraint reading_measured_from_known check (measured_from in ('end', 'back'));
