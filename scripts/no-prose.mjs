// A rule of ours: core says codes and reasons, and words/ says them. What stands in core today is allowed, file by file,
// and only ever becomes less: a file that says more fails, and one that says less must say so in the list.
import { existsSync, readFileSync } from 'node:fs';
import { relative } from 'node:path';

const LIST = new URL('prose-allowance.json', import.meta.url);
const allowed = existsSync(LIST) ? JSON.parse(readFileSync(LIST, 'utf8')) : {};

/** Three words on end, the first of them not a name in code: `Set it on the rack`. */
const PROSE = /(^|[.:;] )[A-Za-z][a-z’]+,? [a-z’]+,? [a-z’]+/;

export const noProse = {
  meta: { type: 'problem', schema: [], messages: { prose: '{{ says }}' } },
  create(context) {
    const file = relative(context.cwd, context.filename).replaceAll('\\', '/');
    const found = [];
    const forProgrammers = (node) => {
      for (let at = node.parent; at; at = at.parent)
        if (at.type === 'NewExpression' && /Error$/.test(at.callee.name ?? '')) return true;
      return false;
    };
    const look = (node, text) => {
      if (PROSE.test(text) && !forProgrammers(node)) found.push(node);
    };
    return {
      Literal(node) {
        if (typeof node.value === 'string' && node.parent.type !== 'ImportDeclaration')
          look(node, node.value);
      },
      TemplateLiteral(node) {
        look(node, node.quasis.map((q) => q.value.cooked).join(' x '));
      },
      'Program:exit'(program) {
        const most = allowed[file] ?? 0;
        if (process.env.PROSE_COUNT) {
          if (found.length > 0) console.log(`PROSE ${file} ${found.length}`);
          return;
        }
        if (found.length > most)
          for (const node of found.slice(most))
            context.report({
              node,
              messageId: 'prose',
              data: {
                says: `Core says no sentences (${found.length} here, ${most} allowed): return a reason and word it in words/.`,
              },
            });
        else if (found.length < most)
          context.report({
            node: program,
            messageId: 'prose',
            data: {
              says: `Only ${found.length} sentences are left here: lower ${most} in scripts/prose-allowance.json.`,
            },
          });
      },
    };
  },
};
