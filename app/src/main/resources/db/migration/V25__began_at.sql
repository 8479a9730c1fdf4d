-- When an evening really began, where its clock was wrong; null where that is as told.
alter table run add column began_at timestamp(9) with time zone;
