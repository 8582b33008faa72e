-- The entry of its log with which a site came to its theme; none where the switch changed nothing of the site itself.
alter table site add column if not exists arrived_with int null;
