-- A site that is put away is on no bench, in no cloth and in no list of strays, and loses nothing.
alter table site add column if not exists put_away_at datetime(3) null;
