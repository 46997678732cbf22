import { languageOf, messageLocale, messagesOf, readMessagesAs } from '@hypogeon/messages';
import { LOAD } from '@hypogeon/messages/load';
import { deserialize, serialize } from 'node:v8';
import { bench } from './bench';
import { files } from './files';
import { ledger } from './ledger';
import { pictures } from './pictures';
import { reading, type Tables } from './reading';
import { rehearse } from './rehearse';

const dry = messagesOf('worker-test')('0', 'dry');

describe('what a worker says', () => {
  afterEach(() => readMessagesAs({ locale: () => 'en-GB', missing: () => undefined }));

  it('is in the language it is told, once it has the messages of its code', () => {
    expect(dry()).toBe('dry');
    expect(reading.placesWithout('de')).toContain('worker-test');
    reading.sayIn('de-AT', { 'worker-test': { '0': 'trocken' } });
    expect([dry(), messageLocale()]).toEqual(['trocken', 'de-AT']);
    expect(reading.placesWithout('de')).not.toContain('worker-test');
    reading.sayIn('es-MX', {});
    expect(dry()).toBe('dry');
  });

  it('is told by calls that no worker has of its own', () => {
    for (const worker of [bench, files, ledger, pictures, rehearse])
      expect(Object.keys(worker).filter((call) => call in reading)).toEqual([]);
  });

  it('can be handed over: messages of every language are data', async () => {
    for (const language of Object.keys(LOAD).map(languageOf))
      for (const load of Object.values(LOAD[language]!)) {
        const { table } = await load();
        expect(deserialize(serialize(table)) as Tables[string]).toEqual(table);
      }
  });
});
