create table of_another_time (id int);
