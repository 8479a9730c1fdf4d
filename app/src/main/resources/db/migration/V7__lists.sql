-- Lists are drawn from columns, so that a document that cannot be read does not take the others with it.
-- What was kept before gets its values in ListColumns.
alter table saved_session add column starts_at timestamp(9);
alter table saved_session add column zone_id varchar(64);
alter table saved_session add column cavities int;
alter table saved_session add column resin_g double precision;
alter table saved_session add column just_mix boolean;
alter table run add column zone_id varchar(64);
alter table run add column finished_at timestamp(9) with time zone;
