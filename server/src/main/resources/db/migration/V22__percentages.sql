-- How flat a bend is that was made with heat is read in per cent, kept in billionths of one.
alter table reading
    drop constraint reading_unit_check,
    add constraint reading_unit_check check (unit in ('pm', 'ndeg', 'npct'));
