import { leastWork } from './core/src/testing/least-work';
const r = leastWork(Number(process.argv[2]??10),Number(process.argv[3]??4));
console.log(r.settings, r.beaten.length, r.costlier.length);
const by=new Map<string,number>();
for(const s of r.costlier){const k=`${s.taxon} ${s.method} | ${s.mix}`; by.set(k,(by.get(k)??0)+1);}
console.log([...by].sort((a,b)=>b[1]-a[1]).map(([k,n])=>n+' '+k).join('\n'));
const h=new Map<string,number>();
for(const s of r.costlier){const k=`${s.habit} ${s.mix}`; h.set(k,(h.get(k)??0)+1);}
console.log([...h].map(([k,n])=>n+' '+k).join('\n'));
for(const s of r.costlier.slice(0,60)) console.log(s.taxon,s.method,s.day,s.place,s.mix,s.habit,s.more.toFixed(1),s.drinks.toFixed(1),s.habitDrinks.toFixed(1));
for(const s of r.beaten) console.log('BEATEN',s.taxon,s.method,s.day,s.place,s.mix,s.habit,s.more.toFixed(1));
