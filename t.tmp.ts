import { demoJournal } from './core/src/demo/index';
import { fold } from './core/src/journal/index';
import { roundOn, verdictsOn } from './core/src/round/index';
const t='2026-04-09';
let t0=performance.now(); const st=fold(demoJournal(t)); console.log('demo',performance.now()-t0, st.size);
t0=performance.now(); const v=verdictsOn(st,t); console.log('verdicts',performance.now()-t0);
for(const [id,x] of v) console.log(id,x.kind,x.school,x.due?.earliest,x.due?.likely,x.due?.latest,x.drink.ml.toFixed(0),x.everyDays,(x.fill.likely*100).toFixed(0),x.pace.likely.toFixed(2),x.pace.sd.toFixed(2),JSON.stringify(x.weights),x.reason);
const r=roundOn(st,t,v); console.log(r.leave.length,r.look.length,r.do.length, r.do.map(d=>d.title));
