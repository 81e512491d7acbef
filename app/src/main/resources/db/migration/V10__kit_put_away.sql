-- Kit taken out can be put back.
alter table kit add column removed_at timestamptz;
