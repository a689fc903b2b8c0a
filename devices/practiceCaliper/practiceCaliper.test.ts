import request from 'supertest';

import { mean, readReading, sampleStandardDeviation } from '@core/measuring/measure';
import { noiseFrom } from '@core/testing/layoutDraft';
import { INSTRUMENTS } from '@core/record/workshop';
import { openTestServer, type TestServer } from '@server/testing/testServer';

import { readCaliper } from './caliper';
import { PRACTICE_OBJECTS } from './truths';

const dimensions = PRACTICE_OBJECTS.flatMap(({ dimensions: of }) => of);

describe('the practice caliper', () => {
  test('types digits that the pad takes, in hundredths', () => {
    const { uniform } = noiseFrom(5);
    for (const dimension of dimensions) {
      const typed = readCaliper(dimension, uniform);
      expect(typed).toMatch(/^\d+\.\d\d$/);
      expect(readReading(typed, INSTRUMENTS[0]!)).toMatchObject({ ok: true });
    }
  });

  test('is right within the error a bench caliper may have, and scatters as a hand does', () => {
    const { uniform } = noiseFrom(11);
    for (const dimension of dimensions) {
      const readings = Array.from({ length: 400 }, () => Number(readCaliper(dimension, uniform)));
      expect(Math.abs(mean(readings) - dimension.trueMm)).toBeLessThan(0.02);
      const expected = Math.hypot(0.009, dimension.roughMm, 0.01 / Math.sqrt(12));
      expect(sampleStandardDeviation(readings) / expected).toBeGreaterThan(0.85);
      expect(sampleStandardDeviation(readings) / expected).toBeLessThan(1.15);
    }
  });
});

describe('over the API', () => {
  let server: TestServer;
  beforeEach(async () => {
    server = await openTestServer();
  });
  afterEach(() => server.close());

  test('tells what lies on the bench, and never what it truly measures', async () => {
    const reply = await request(server.app).get('/api/practice-caliper');
    const { objects } = reply.body as { objects: { id: string; dimensions: { id: string }[] }[] };
    expect(objects.map(({ id }) => id)).toEqual(PRACTICE_OBJECTS.map(({ id }) => id));
    for (const { trueMm } of dimensions) expect(reply.text).not.toContain(String(trueMm));
    expect(reply.text).not.toContain('trueMm');
  });

  test('shows a reading of what is chosen', async () => {
    const reply = await request(server.app)
      .post('/api/practice-caliper/readings')
      .send({ objectId: 'bearing', dimensionId: 'outside' });
    expect(reply.body).toEqual({ shown: '21.99' });
  });

  test.each([
    [{ objectId: 'bearing', dimensionId: 'nothing' }, 404],
    [{ objectId: 'nothing', dimensionId: 'outside' }, 404],
    [{ objectId: 'bearing' }, 400],
  ])('%j is refused with a sentence', async (asked, status) => {
    const reply = await request(server.app).post('/api/practice-caliper/readings').send(asked);
    expect(reply.status).toBe(status);
    expect((reply.body as { sentence: string }).sentence).toMatch(/[.]$/);
  });
});
