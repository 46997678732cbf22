import { ReadableAddresses } from './readable-addresses';

describe('addresses', () => {
  const read = (url: string): string => {
    const urls = new ReadableAddresses();
    return urls.serialize(urls.parse(url));
  };

  it('are read as they are', () => {
    expect(read('/bench/b-1?tab=water')).toBe('/bench/b-1?tab=water');
    expect(read('/mothers/m%20a')).toBe('/mothers/m%20a');
  });

  it.each(['/bench/%ff', '/plants/%', '/mothers/m?x=%E0%A4%A', '/(a'])(
    '%s leads to a page that says it cannot be read',
    (url) => {
      expect(read(url)).toBe('/unreadable');
    },
  );
});
