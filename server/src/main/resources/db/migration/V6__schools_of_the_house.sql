-- Where the household departs from every tradition: "question.choice", separated by blanks.
alter table kitchen add column schools text not null default '';
