import { conversionWords } from '../money/priced-shelf';
import Papa from 'papaparse';
import { FORMULA_CELL } from './csv-file';
import { fullName, pocketOf } from '../model/gear';
import { formatMoney, minorPerMajor } from '../money/format';
import type { MoneyStatement, StatementLine } from '../money/statement';

/** Lines one still has to pay for, in buying order: now, next, later. */
export function linesToBuy(money: MoneyStatement): StatementLine[] {
  const order = ['now', 'next', 'later'];
  return money.lines
    .filter(({ line }) => line.state === 'wanted' || line.state === 'ordered')
    .map((line, index) => ({ line, index }))
    .sort(
      (a, b) =>
        order.indexOf(a.line.line.step) - order.indexOf(b.line.line.step) || a.index - b.index
    )
    .map(({ line }) => line);
}

/** What is bought in one place: its lines, and what they take together. */
export interface ShopLines {
  shop: string;
  lines: StatementLine[];
  togetherMinor: number;
}

/** Lines by the shop their price was seen in, by name; those without a price come last. */
export function linesByShop(lines: readonly StatementLine[]): ShopLines[] {
  const byShop = new Map<string, StatementLine[]>();
  for (const statement of lines) {
    const shop = statement.price?.source ?? '';
    byShop.set(shop, [...(byShop.get(shop) ?? []), statement]);
  }
  return [...byShop]
    .map(([shop, own]) => ({
      shop: shop || 'no shop known',
      lines: own,
      togetherMinor: own.reduce(
        (sum, statement) => sum + statement.firmMinor + statement.laterMinor,
        0
      )
    }))
    .sort((a, b) =>
      a.shop === 'no shop known'
        ? 1
        : b.shop === 'no shop known'
          ? -1
          : a.shop.localeCompare(b.shop)
    );
}

/** What stands in a Markdown line is text: pipes, brackets and line ends lose their meaning. */
export function markdownText(text: string): string {
  return text.replace(/[\r\n]+/g, ' ').replace(/[\\`*_{}[\]<>()#+!|-]/g, '\\$&');
}

/** The buying list as Markdown, one table a step. */
export function buyingListMarkdown(
  projectName: string,
  money: MoneyStatement,
  notes: readonly string[]
): string {
  const list = linesToBuy(money);
  const out: string[] = [`# Buying list: ${markdownText(projectName)}`, ''];
  for (const step of ['now', 'next', 'later'] as const) {
    const lines = list.filter(({ line }) => line.step === step);
    if (lines.length === 0) continue;
    out.push(
      `## ${step[0]!.toUpperCase()}${step.slice(1)}`,
      '',
      '| Part | Pieces | Each | Together | Left after | Price of |',
      '|---|---:|---:|---:|---:|---|'
    );
    for (const statement of lines) {
      const name = statement.gear ? fullName(statement.gear) : statement.line.gearId;
      const together = statement.line.step === 'later' ? statement.laterMinor : statement.firmMinor;
      out.push(
        `| ${markdownText(name)}${statement.line.basis === 'used' ? ' (used)' : ''} | ${statement.line.quantity} | ${statement.unitMinor === undefined ? 'no price' : formatMoney(statement.unitMinor, money.currency)} | ${formatMoney(together, money.currency)} | ${statement.line.step === 'later' ? '' : formatMoney(statement.remainingMinor, money.currency)} | ${statement.price ? `${statement.price.date}, ${markdownText([statement.price.source, conversionWords(statement.price)].filter(Boolean).join('; '))}` : ''} |`
      );
    }
    out.push('');
  }
  if (list.length === 0) out.push('Nothing is left to buy.', '');
  out.push(
    `Firm total ${formatMoney(money.firmMinor, money.currency)} of ${formatMoney(money.spendableMinor, money.currency)} (budget ${formatMoney(money.limitMinor, money.currency)}, set aside ${formatMoney(money.reserveMinor, money.currency)}): ${formatMoney(Math.abs(money.remainingMinor), money.currency)} ${money.remainingMinor < 0 ? 'over' : 'left'}.`,
    ''
  );
  if (notes.length > 0)
    out.push('## Mind', '', ...notes.map((note) => `- ${markdownText(note)}`), '');
  return out.join('\n');
}

/** The buying list as CSV (RFC 4180). Batteries that a spreadsheet would run as formulas are made text. */
export function buyingListCsv(money: MoneyStatement): string {
  const perMajor = minorPerMajor(money.currency);
  const amount = (minor: number | undefined) =>
    minor === undefined ? '' : (minor / perMajor).toFixed(Math.log10(perMajor));
  return `${Papa.unparse(
    {
      fields: [
        'step',
        'pocket',
        'maker',
        'model',
        'pieces',
        'basis',
        'state',
        `each ${money.currency}`,
        `together ${money.currency}`,
        `left after ${money.currency}`,
        'seen as',
        'price date',
        'price source'
      ],
      data: linesToBuy(money).map((statement) => [
        statement.line.step,
        statement.gear ? pocketOf(statement.gear) : '',
        statement.gear?.maker ?? '',
        statement.gear?.model ?? statement.line.gearId,
        statement.line.quantity,
        statement.line.basis,
        statement.line.state,
        amount(statement.unitMinor),
        amount(statement.line.step === 'later' ? statement.laterMinor : statement.firmMinor),
        statement.line.step === 'later' ? '' : amount(statement.remainingMinor),
        conversionWords(statement.price),
        statement.price?.date ?? '',
        statement.price?.source ?? ''
      ])
    },
    { escapeFormulae: FORMULA_CELL, newline: '\r\n' }
  )}\r\n`;
}
