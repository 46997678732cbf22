import { Router, type RequestHandler, type Response } from 'express';
import * as z from 'zod';
import { Device, DEVICES, FAULTS, type Fault } from './device';

export interface DevicesOptions {
  /** Seconds since 1970; handed in so that tests need no waiting. */
  readonly now: () => number;
  /** Milliseconds between two events of a stream. */
  readonly everyMs: number;
}

const FLOOD_MS = 15;
const RECORD_STEP = 600;
/** Two days of a device are some three hundred readings: sixty who ask at once are answered before anybody waits. */
const MOST_HOURS = 48;
/** What can be asked of a recording; beyond it the hand slipped, and a long one would hold up all others. */
const askedSchema = z.object({
  hours: z.coerce.number().min(1).max(MOST_HOURS).default(24),
});
const replaySchema = z.object({
  replay: z.coerce.number().min(1).max(MOST_HOURS).optional(),
  speed: z.coerce.number().min(60).max(36_000).default(3600),
});
/** More listeners than a bench has tabs: the next is asked to wait. */
const MOST_STREAMS = 24;

/**
 * Simulated devices for want of real ones, over HTTP and server-sent events, in SenML JSON (RFC 8428).
 * They know nothing of the grower's journal.
 */
export function deviceRoutes({ now, everyMs }: DevicesOptions, ownPage: RequestHandler): Router {
  const router = Router();
  let streams = 0;
  const devices = new Map(DEVICES.map((info) => [info.id, new Device(info, now())]));

  // What they tell is of the grower's bench: no foreign page reads it, nor steers them.
  router.use(ownPage);
  router.use((_request, response, next) => {
    response.set('Cache-Control', 'no-store');
    next();
  });
  router.get('/', (_request, response) => {
    response.json([...devices.values()].map((d) => ({ ...d.info, fault: d.fault })));
  });
  router.param('id', (_request, response, next, id: string) => {
    if (devices.has(id)) next();
    else response.status(404).json({ problem: `No device ${id} here.` });
  });
  router.get('/:id', (request, response) => {
    const pack = devices.get(request.params.id)!.sample(now());
    if (pack) response.type('application/senml+json').json(pack);
    else response.status(503).json({ problem: 'The device does not answer.' });
  });
  router.post('/:id/fault/:fault', (request, response) => {
    const fault = FAULTS.find((f) => f === request.params.fault);
    if (!fault) {
      response.status(400).json({ problem: `One of: ${FAULTS.join(', ')}.` });
      return;
    }
    devices.get(request.params.id)!.fault = fault;
    response.json({ fault });
  });
  /** The last hours again, a reading every ten minutes. */
  router.get('/:id/recording', (request, response) => {
    const asked = askedSchema.safeParse(request.query);
    if (!asked.success) return refuse(response, `hours is a number from 1 to ${MOST_HOURS}.`);
    const { info } = devices.get(request.params.id)!;
    const packs = [...recorded(info.id, asked.data.hours, now())];
    response.type('application/senml+json').json(packs.flat());
  });
  router.get('/:id/stream', (request, response) => {
    const device = devices.get(request.params.id)!;
    const asked = replaySchema.safeParse(request.query);
    if (!asked.success)
      return refuse(
        response,
        `replay is hours from 1 to ${MOST_HOURS}, speed a number from 60 to 36000.`,
      );
    if (streams >= MOST_STREAMS)
      return void response.status(429).json({ problem: 'Too many listen already.' });
    const { replay: hours, speed } = asked.data;
    openStream(response);
    const stop =
      hours === undefined
        ? live(response, device, now, everyMs)
        : replay(response, recorded(device.info.id, hours, now()), speed);
    streams++;
    request.on('close', () => {
      streams--;
      stop();
    });
  });
  return router;
}

function refuse(response: Response, problem: string): void {
  response.status(400).json({ problem });
}

function openStream(response: Response): void {
  response.set({
    'Content-Type': 'text/event-stream',
    // Compression would hold events back until a block is full.
    'Cache-Control': 'no-store, no-transform',
    'X-Accel-Buffering': 'no',
  });
  response.flushHeaders();
  response.write('retry: 60000\n\n');
}

function send(response: Response, pack: readonly object[]): void {
  response.write(`event: senml\ndata: ${JSON.stringify(pack)}\n\n`);
}

function live(response: Response, device: Device, now: () => number, everyMs: number): () => void {
  let timer: ReturnType<typeof setTimeout>;
  const tick = (): void => {
    const pack = device.sample(now());
    if (pack) send(response, pack);
    const pace: Fault = device.fault;
    timer = setTimeout(tick, pace === 'flood' ? FLOOD_MS : everyMs);
  };
  tick();
  return () => clearTimeout(timer);
}

/** @param speed seconds of the recording in one second */
function replay(response: Response, packs: Iterator<readonly object[]>, speed: number): () => void {
  const everyMs = Math.max(20, (RECORD_STEP / speed) * 1000);
  const timer = setInterval(() => {
    const pack = packs.next();
    if (!pack.done) return send(response, pack.value);
    response.write('event: end\ndata: []\n\n');
    clearInterval(timer);
    response.end();
  }, everyMs);
  return () => clearInterval(timer);
}

/** A device that had been there all the time, told from the first hour on: a reading when it is asked for. */
function* recorded(id: string, hours: number, now: number): Generator<readonly object[]> {
  const info = DEVICES.find((d) => d.id === id)!;
  const from = Math.floor((now - hours * 3600) / RECORD_STEP) * RECORD_STEP;
  const device = new Device(info, from);
  for (let at = from; at <= now; at += RECORD_STEP) {
    const pack = device.sample(at);
    if (pack) yield pack;
  }
}
