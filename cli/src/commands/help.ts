export function help(): void {
  console.log(`Vendu: the dial-in bench of a roastery's quality-control barista

  ./vendu demo [--port N] [--reset]   install what is missing, start the database, load the demo, serve
                                      at http://127.0.0.1:4600 (--reset: fresh demo data)
  ./vendu serve [--port N]            a lab of your own: the same without invented people or data; says where the
                                      first lead begins (--config FILE: how it is reached, see docs/OPERATIONS.md)
                                      (--phones with either: tasters' phones in the same network get their pages)
                                      (--workers N: by several servers with HAProxy before them)
  ./vendu cluster [--workers N]       the demo on a MariaDB cluster of three nodes on this machine, to see one of them go
  ./vendu test [suite ...]            prove it: checks, unit, integration, e2e (all when none is named)
  ./vendu bench [measure ...]         print the measures: speed, accuracy, facts, tasks, days, blind, warnings, starts, practice,
                                      second, brews, split, ablation, many, house (warnings and brews take an hour each)
  ./vendu kill [--kills N]            kill server and database while a device brews (50 times), and count
                                      what was lost or doubled
  ./vendu trust [part ...]            attack a copy and count what gives way: doors, races, fuzz, feed,
                                      migrations, carry, phones, faults, disk, cluster, load, dial-in,
                                      proposals (all take an hour)
  ./vendu mutate [folder ...] [--own] change core one thing at a time and list what no test notices: brewLog,
                                      changeLife, fractions, taught, bench, plan, extraction, change, startingRecipe,
                                      calibration, tasting (hours for all; file by file, so that it may be
                                      broken off; only what changed is tried again; --own: by the
                                      tests of the folder alone, which is sooner)
  ./vendu dev [--port N]              the same application, following the sources
  ./vendu backup [--to FOLDER] [--keep N] [--demo]
                                      copy the lab's database while people work, prove the copy by loading it, keep the
                                      newest 14
  ./vendu restore FILE [--demo]       put a copy in its place; what is there now is copied first
  ./vendu build                       install and build, and start nothing: for an image of a lab
  ./vendu stop                        end a demo, a lab or a cluster that runs elsewhere
  ./vendu help                        this page`);
}
