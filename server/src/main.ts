import { existsSync } from 'node:fs';
import { networkInterfaces } from 'node:os';
import { fileURLToPath } from 'node:url';
import { createApp, LOOPBACK } from './app';

const port = Number(process.env.PORT ?? 4173);
const host = process.env.HOST ?? LOOPBACK;
const demo = process.argv.includes('--demo');
const folder = fileURLToPath(new URL('../../dist/web/browser', import.meta.url));

if (!existsSync(folder)) {
  console.error('The app is not built yet. Run: npm run build');
  process.exit(1);
}

const server = createApp({ folder, demo, host }).listen(port, host, (error?: Error) => {
  if (error) {
    console.error(
      `Port ${port} cannot be used (${error.message}). Choose another: PORT=5000 npm run demo`,
    );
    process.exit(1);
  }
  console.log(`\n  Hypogeon is open at http://localhost:${port}`);
  if (host === LOOPBACK)
    console.log('  From a phone on this network too: HOST=0.0.0.0 npm run demo');
  else
    for (const address of onThisNetwork())
      console.log(`  from a phone:       http://${address}:${port}`);
  console.log('  Stop it with Ctrl+C.\n');
});

function onThisNetwork(): string[] {
  return Object.values(networkInterfaces())
    .flatMap((list) => list ?? [])
    .filter((a) => a.family === 'IPv4' && !a.internal)
    .map((a) => a.address);
}

for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.on(signal, () => {
    server.close(() => process.exit(0));
    server.closeAllConnections();
  });
