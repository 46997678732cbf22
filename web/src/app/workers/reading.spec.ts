import { languageOf, messageLocale, messagesOf, readMessagesAs } from '@hypogeon/messages';
import { LOAD } from '@hypogeon/messages/load';
import { deserialize, serialize } from 'node:v8';
import { reading, type Tables } from './reading';

const dry = messagesOf('worker-test')('0', 'dry');

describe('what a worker says', () => {
  afterEach(() => readMessagesAs({ locale: () => 'en-GB', missing: () => undefined }));

  it('is in the language it is told, once it has the messages of its code', () => {
    expect(dry()).toBe('dry');
    expect(reading.placesWithout('de')).toContain('worker-test');
    reading.read('de-AT', { 'worker-test': { '0': 'trocken' } });
    expect([dry(), messageLocale()]).toEqual(['trocken', 'de-AT']);
    expect(reading.placesWithout('de')).not.toContain('worker-test');
    reading.read('es-MX', {});
    expect(dry()).toBe('dry');
  });

  it('can be handed over: messages of every language are data', async () => {
    for (const language of Object.keys(LOAD).map(languageOf))
      for (const load of Object.values(LOAD[language]!)) {
        const { table } = await load();
        expect(deserialize(serialize(table)) as Tables[string]).toEqual(table);
      }
  });
});
