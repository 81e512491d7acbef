-- A password that was changed ends whatever was signed in by the old one; what somebody made is known by its maker.
alter table account add column password_version int not null default 0;
alter table calendar_feed add column made_by uuid;
