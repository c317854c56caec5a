// How long lists and maps take in a survey of 100,000 trees and 20,000 calls, beside the same rows fetched by plain
// SQL, first alone in the database and then beside other surveys of the same size.
// usage: node lists.mjs URL CALL-SIGN PASSPHRASE HOW-MANY-SURVEYS; the database is told by PGHOST, PGPORT, …
import pg from 'pg'
import { signedIn } from './client.mjs'

const WARM_UP = 20
const MEASURED = 120

const [url, callSign, passphrase, surveys] = process.argv.slice(2)
const call = await signedIn(url, callSign, passphrase)

async function p95(work) {
  const times = []
  for (let i = 0; i < WARM_UP + MEASURED; i++) {
    const start = performance.now()
    await work(i)
    if (i >= WARM_UP) times.push(performance.now() - start)
  }
  times.sort((a, b) => a - b)
  return times[Math.floor(0.95 * times.length)].toFixed(0)
}

const database = new pg.Client()
await database.connect()
const survey = (await call('GET', '/api/surveys')).find((one) => one.name === 'load 1').id
const observer = (await call('GET', '/api/session')).id
const plots = await call('GET', `/api/surveys/${survey}/plots`)
const plotOf = (i) => plots[(i * 37) % plots.length].id
const trees = await call('GET', `/api/surveys/${survey}/plots/${plotOf(1)}/trees`)
const treeOf = (i) => trees.filter((one) => one.groupId)[i % 20].id
const sql = (text, values) => database.query({ text, values, rowMode: 'array' })
const lists = [
  [
    '2,500 plots with what is open',
    () => call('GET', `/api/surveys/${survey}/plots`),
    () =>
      sql(
        `select p.id, p.code, p.latitude, p.longitude, count(t.id), count(*) filter (where t.stands_as = 'open'),
         count(*) filter (where t.contested) from plot p left join tree t on t.plot_id = p.id
         where p.survey_id = $1 group by p.id order by p.code`,
        [survey],
      ),
  ],
  [
    'map and table of a plot, 40 trees',
    (i) => call('GET', `/api/surveys/${survey}/plots/${plotOf(i)}/trees`),
    (i) =>
      sql(
        `select t.*, s.thistle from tree t left join call_state s on s.tree_id = t.id and s.observer_id = $2
         where t.plot_id = $1 order by t.tag`,
        [plotOf(i), observer],
      ),
  ],
  [
    'today: walk and settle',
    () => call('GET', `/api/surveys/${survey}/today`),
    () =>
      sql(
        `select p.id, p.code, count(*) from plot p join tree t on t.plot_id = p.id and t.clone_of is null
         and t.stands_as in ('open', 'come-back') left join call_state s on s.tree_id = t.id and s.observer_id = $2
         where p.survey_id = $1 and p.closed_at is null group by p.id`,
        [survey, observer],
      ),
  ],
  [
    'a tree found by plot and tag',
    (i) => call('GET', `/api/surveys/${survey}/trees?find=ride%20${1000 + i}%20${1 + (i % 40)}`),
    (i) =>
      sql(
        `select t.id, p.code, t.tag from tree t join plot p on p.id = t.plot_id
         where p.survey_id = $1 and p.code like $2 and t.tag = $3`,
        [survey, `Ride ${1000 + i}%`, 1 + (i % 40)],
      ),
  ],
  [
    'a tree on the Bench',
    (i) => call('GET', `/api/surveys/${survey}/trees/${treeOf(i)}/bench`),
    (i) => sql('select * from reading r join call c on c.id = r.call_id where c.tree_id = $1', [treeOf(i)]),
  ],
]
for (const [what, ask, plain] of lists) {
  console.log(`| ${what} | ${surveys} | ${await p95(ask)} ms | ${await p95(plain)} ms |`)
}
await database.end()
