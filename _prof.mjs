import {readFileSync,readdirSync} from 'node:fs';
const f=process.argv[2]; const p=JSON.parse(readFileSync(f));
const n=new Map(p.nodes.map(x=>[x.id,x])); const self=new Map();
const dt=p.timeDeltas; p.samples.forEach((s,i)=>self.set(s,(self.get(s)??0)+dt[i]));
const parent=new Map(); for(const x of p.nodes) for(const c of x.children??[]) parent.set(c,x.id);
const name=x=>`${x.callFrame.functionName||'?'} ${x.callFrame.url.split('/').slice(-2).join('/')}:${x.callFrame.lineNumber+1}`;
const bySelf=new Map(), byTot=new Map();
for(const [id,t] of self){ const x=n.get(id); bySelf.set(name(x),(bySelf.get(name(x))??0)+t); const seen=new Set(); let q=id; while(q!==undefined){const nm=name(n.get(q)); if(!seen.has(nm)){seen.add(nm);byTot.set(nm,(byTot.get(nm)??0)+t);} q=parent.get(q);} }
const top=(m,k)=>[...m].sort((a,b)=>b[1]-a[1]).slice(0,k).forEach(([a,b])=>console.log((b/1000).toFixed(0).padStart(7),a));
console.log('SELF');top(bySelf,28);console.log('TOTAL');top(byTot,70);
