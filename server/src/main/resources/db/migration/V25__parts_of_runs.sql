-- What of a run is a bend that is also learnt by itself: beside each of its features, the family's kind and feature that it stands for
-- (stub90:angle1), or nothing. Null for anything but a run, and until what came before is worked out anew.
alter table outcome add column stands_for text[];
