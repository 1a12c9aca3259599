import { expect, exportedFile, keepOneScene, openDemo, test, unfold } from './bench';

test('POST /api/evaluate judges as the page does', async ({ page, request }) => {
  await openDemo(page);
  const { value } = await exportedFile(page);
  const answer = await request.post('/api/evaluate', { data: value });
  expect(answer.status()).toBe(200);
  const judged = await answer.json();
  expect(judged.money.remainingMinor).toBe(-5800);
  expect(judged.merit.stops).toBe(2);
  const lesson = judged.scenes.find(
    (scene: { sceneId: string }) => scene.sceneId === 'loom-lesson'
  );
  expect(lesson.figures.minutesPerBattery.value).toBeCloseTo((60 * 8.3 * 0.98) / 5.9, 6);
  const power = judged.findings.find((finding: { code: string }) => finding.code === 'P2');
  await expect(page.locator('[data-code="P2"]')).toContainText(power.title);
  await unfold(page.locator('[data-code="P2"]'));
  await expect(page.locator('[data-code="P2"]')).toContainText(power.why);
  const again = await request.post('/api/evaluate', { data: value });
  expect(await again.text()).toBe(await answer.text());
});

test('POST /api/pack tells how far it is, and ends with kits the judge agrees to', async ({
  page,
  request
}) => {
  await openDemo(page);
  const { value } = await exportedFile(page);
  // One scene and few kits: a slow machine packs as much in its time as others do in a tenth of it.
  keepOneScene(value.project, 'loom-lesson');
  const answer = await request.post('/api/pack?locked=sound&used=never&most=1200', { data: value });
  expect(answer.status()).toBe(200);
  expect(answer.headers()['content-type']).toContain('application/x-ndjson');
  const lines = (await answer.text())
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line));
  expect(lines.length).toBeGreaterThan(1);
  expect(lines[0]).toHaveProperty('judged');
  const { best, file, isProven, front } = lines.at(-1);
  expect(isProven).toBe(false);
  expect(front.length).toBeGreaterThan(5);
  expect(best.lines.map(({ gearId }: { gearId: string }) => gearId)).toContain('dunmarrow-plover');
  const judged = await (await request.post('/api/evaluate', { data: file })).json();
  expect(judged.faults).toBeUndefined();
  expect(judged.money.firmMinor).toBe(best.priceMinor);
  expect(judged.merit.meritHundredths).toBe(best.meritHundredths);

  for (const [words, says] of [
    ['locked=hat', /no pocket/],
    ['used=sometimes', /one of never/],
    ['most=0', /whole number/],
    ['plan=none', /no plan/]
  ] as const) {
    const refused = await request.post(`/api/pack?${words}`, { data: value });
    expect(refused.status(), words).toBe(400);
    expect((await refused.json()).faults[0].sentence).toMatch(says);
  }
});

test('what it refuses it refuses in words, never with a stack', async ({ request }) => {
  const wrongType = await request.post('/api/evaluate', {
    headers: { 'content-type': 'text/plain' },
    data: 'hello'
  });
  expect(wrongType.status()).toBe(415);
  const notJson = await request.post('/api/evaluate', {
    headers: { 'content-type': 'application/json' },
    data: Buffer.from('{oops')
  });
  expect(notJson.status()).toBe(400);
  const faulty = await request.post('/api/evaluate', {
    data: { format: 'hearty-satchel', version: 1, project: { name: 3 }, shelf: [] }
  });
  expect(faulty.status()).toBe(400);
  const { faults } = await faulty.json();
  expect(faults[0].field).toContain('project.');
  const large = await request.post('/api/evaluate', {
    headers: { 'content-type': 'application/json' },
    data: Buffer.alloc(21 * 1024 * 1024, 32)
  });
  expect(large.status()).toBe(413);
  const foreign = await request.post('/api/evaluate', {
    headers: { origin: 'https://elsewhere.example' },
    data: {}
  });
  expect(foreign.status()).toBe(403);
  for (const answer of [wrongType, notJson, faulty, large, foreign])
    expect(await answer.text()).not.toMatch(/\bat .+:\d+:\d+/);
});

test('health answers, and every answer carries strict headers', async ({ request }) => {
  const health = await request.get('/api/health');
  expect(await health.json()).toMatchObject({ status: 'ok', format: 'hearty-satchel' });
  for (const path of ['/', '/api/health', '/favicon.svg', '/nowhere']) {
    const { headers } = { headers: (await request.get(path)).headers() };
    expect(headers['x-content-type-options'], path).toBe('nosniff');
    expect(headers['referrer-policy'], path).toBe('no-referrer');
    const policy = headers['content-security-policy']!;
    expect(policy, path).toContain("frame-ancestors 'none'");
    expect(policy, path).toContain("default-src 'none'");
    expect(policy, path).not.toContain('unsafe-eval');
    expect(policy, path).not.toContain("'unsafe-inline'");
  }
});
