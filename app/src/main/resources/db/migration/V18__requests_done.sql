-- Requests that changed something, by what their senders call them: a repeat finds itself here and changes nothing again.
create table if not exists request_done (
    id varchar(64) character set ascii primary key,
    made_at datetime(3) not null,
    key request_done_made (made_at)
);
