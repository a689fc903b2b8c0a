import { create, parseDependencies, type FactoryFunctionMap } from 'mathjs/number';

import { no, ok, type Fault, type Result } from '@core/foundations/fault';
import {
  cleanTyped,
  exponentIn,
  INCHES_PER_FOOT,
  MM_PER,
  RAD_PER_DEGREE,
  rewritten,
} from '@core/foundations/quantity';
import { ownValue } from '@core/foundations/own';

import { fitTag, FUNCTIONS, isFunctionName, type Expression } from './expression';

const { parse } = create(parseDependencies as FactoryFunctionMap, {});

/** Longest formula that is read. */
export const FORMULA_LIMIT = 200;

/** The parser's nodes that a formula may be made of, as far as they are looked at; whatever else it gives is refused. */
type Parsed =
  | { type: 'ParenthesisNode'; content: Parsed }
  | { type: 'ConstantNode'; value: unknown }
  | { type: 'SymbolNode'; name: string }
  | { type: 'OperatorNode'; fn: string; args: Parsed[] }
  | { type: 'FunctionNode'; fn: Parsed; args: Parsed[] };
type ParsedOf<T extends Parsed['type']> = Extract<Parsed, { type: T }>;

/** Units by the names that stand in a prepared text; the inch has one of its own because `in` is taken there. */
const UNITS: Record<string, { of: 'length' | 'angle'; value: number }> = {
  mm: { of: 'length', value: MM_PER.mm },
  cm: { of: 'length', value: MM_PER.cm },
  unitInch: { of: 'length', value: MM_PER.in },
  unitFoot: { of: 'length', value: INCHES_PER_FOOT * MM_PER.in },
  unitMetre: { of: 'length', value: 1000 },
  unitDecimetre: { of: 'length', value: 100 },
  unitMicrometre: { of: 'length', value: 0.001 },
  unitThou: { of: 'length', value: MM_PER.in / 1000 },
  unitDegree: { of: 'angle', value: RAD_PER_DEGREE },
  unitRadian: { of: 'angle', value: 1 },
};

const OPERATORS = {
  add: 'add',
  subtract: 'subtract',
  multiply: 'multiply',
  divide: 'divide',
  pow: 'power',
} as const;

/**
 * Reads a formula: numbers, units (mm, cm, in, °), tags of sizes (A, B, AA), working sizes of fits (`fit(A)`), + − × ÷ ^ and brackets,
 * and the functions of FUNCTIONS. A comma between digits marks decimals; arguments are kept apart by `;`, or by a comma
 * and a space.
 */
export function parseFormula(text: string): Result<Expression, Fault> {
  const cleaned = cleanTyped(text);
  if (cleaned === '') return no({ code: 'formula.empty' });
  if (cleaned.length > FORMULA_LIMIT) return no({ code: 'formula.tooLong', limit: FORMULA_LIMIT });
  const exponent = exponentIn(cleaned);
  if (exponent !== null) return no({ code: 'formula.exponent', text: exponent });
  let tree: Parsed;
  try {
    tree = parse(prepare(rewritten(text))) as unknown as Parsed;
  } catch {
    return no({ code: 'formula.notRead', text });
  }
  return check(tree, text);
}

/** Puts what people write into what the parser reads. */
function prepare(text: string): string {
  return (
    text
      .replace(/(\d),(?=\d)/g, '$1.')
      .replace(/;/g, ',')
      .replace(/×/g, '*')
      .replace(/÷/g, '/')
      .replace(/π/g, ' pi ')
      .replace(/[øØ⌀∅] ?(?=[\d.])/g, '')
      // Degrees, minutes and seconds are one angle.
      .replace(/([\d.]+) ?° ?([\d.]+) ?' ?([\d.]+) ?"/g, '($1+$2/60+$3/3600) unitDegree ')
      .replace(/([\d.]+) ?° ?([\d.]+) ?'/g, '($1+$2/60) unitDegree ')
      .replace(/°|\bdeg(rees?)?\b/g, ' unitDegree ')
      .replace(/(?<=[\d) ])rad(ians?)?\b/g, ' unitRadian ')
      .replace(/(?<=[\d) ])(µm|um|microns?)\b/g, ' unitMicrometre ')
      .replace(/(?<=[\d) ])(thou|mils?)\b/g, ' unitThou ')
      .replace(/(?<=[\d) ])dm\b/g, ' unitDecimetre ')
      .replace(/(?<=[\d) ])(m|met(re|er)s?)\b/g, ' unitMetre ')
      // 3-1/2" is three and a half inches, as 3 1/2" is.
      .replace(/(?<![\d./])(\d+)-(\d+) ?\/ ?(\d+)(?= ?("|in\b|inch))/g, '$1 $2/$3')
      .replace(/"|(?<=\d|\b)(in|inch|inches)\b/g, ' unitInch ')
      .replace(/'|(?<=\d|\b)(ft|foot|feet)\b/g, ' unitFoot ')
      // 1 3/16 is one and three sixteenths.
      .replace(/(\d+) +(\d+) ?\/ ?(\d+)(?![\d.])/g, '($1+$2/$3)')
      // A fraction with its unit is one number: 3/8 in is not 3 over 8 in.
      .replace(/(?<![\d.)])(\d+) ?\/ ?(\d+)(?= *unitInch)/g, '($1/$2)')
      // 5' 3" is one length.
      .replace(/(\([^()]*\)|[\d.]+) *unitFoot *-? *(\([^()]*\)|[\d.]+) *unitInch/g, '($1*12+$2) unitInch')
      // A unit written straight on its number: 3mm.
      .replace(/(\d)(mm|cm)\b/g, '$1 $2')
  );
}

/** `fit(A)`, or `fit(A; bore)` where several fits go by A: a working size, which goes by that name among the sizes. */
function checkFit([size, word, ...more]: readonly Parsed[], text: string): Result<Expression, Fault> {
  if (size?.type !== 'SymbolNode' || !/^[A-Z]{1,3}$/.test(size.name) || more.length > 0) {
    return no({ code: 'formula.notRead', text });
  }
  if (word && word.type !== 'SymbolNode') return no({ code: 'formula.notRead', text });
  return ok({ op: 'size', tag: fitTag(size.name, word ? word.name : null) });
}

/** The parser's tree as one of ours, or what in it is not allowed. */
function check(node: Parsed, text: string): Result<Expression, Fault> {
  switch (node.type) {
    case 'ParenthesisNode':
      return check(node.content, text);
    case 'ConstantNode':
      return typeof node.value === 'number' && Number.isFinite(node.value)
        ? ok({ op: 'number', value: node.value })
        : no({ code: 'formula.notRead', text });
    case 'SymbolNode':
      return checkName(node.name);
    case 'OperatorNode':
      return checkOperator(node, text);
    case 'FunctionNode':
      return checkCall(node, text);
    default:
      return no({ code: 'formula.notRead', text });
  }
}

function checkName(name: string): Result<Expression, Fault> {
  if (name === 'pi') return ok({ op: 'number', value: Math.PI });
  const unit = ownValue(UNITS, name);
  if (unit) return ok({ op: 'quantity', ...unit });
  if (/^[A-Z]{1,3}$/.test(name)) return ok({ op: 'size', tag: name });
  return no({ code: 'formula.unknownWord', word: name });
}

function checkOperator(node: ParsedOf<'OperatorNode'>, text: string): Result<Expression, Fault> {
  const parts = node.args.map((part) => check(part, text));
  const bad = parts.find((part) => !part.ok);
  if (bad && !bad.ok) return bad;
  const [left, right] = parts.map((part) => (part.ok ? part.value : null));
  if (node.fn === 'unaryMinus' && left) return ok({ op: 'negate', of: left });
  if (node.fn === 'unaryPlus' && left) return ok(left);
  if (!Object.hasOwn(OPERATORS, node.fn) || !left || !right) return no({ code: 'formula.notRead', text });
  return ok({ op: OPERATORS[node.fn as keyof typeof OPERATORS], left, right });
}

function checkCall(node: ParsedOf<'FunctionNode'>, text: string): Result<Expression, Fault> {
  const name = node.fn.type === 'SymbolNode' ? node.fn.name : '';
  if (name === 'fit') return checkFit(node.args, text);
  if (!isFunctionName(name)) {
    // A size or a number straight before a bracket is a forgotten sign of multiplication.
    return no(
      /^[A-Z]{1,3}$/.test(name)
        ? { code: 'formula.notRead', text }
        : { code: 'formula.unknownWord', word: name || '?' },
    );
  }
  const [fewest, most] = FUNCTIONS[name];
  if (node.args.length < fewest || node.args.length > most) return no({ code: 'formula.notRead', text });
  const of: Expression[] = [];
  for (const part of node.args) {
    const checked = check(part, text);
    if (!checked.ok) return checked;
    of.push(checked.value);
  }
  return ok({ op: 'call', name, of });
}
