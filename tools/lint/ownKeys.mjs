import ts from 'typescript';

/**
 * No plain object is looked up by any text: `constructor` and `__proto__` are found in all of them. A Map or own keys (Object.hasOwn) answer instead. Of an object whose
 * keys are known, and of a key that is one of them, the compiler sees to it.
 */
export const ownKeys = {
  meta: {
    type: 'problem',
    messages: {
      anyText:
        'Any text may be this key, and every object has a “constructor”: use a Map, or ask Object.hasOwn first.',
    },
    schema: [],
  },
  create(context) {
    const services = context.sourceCode.parserServices;
    const checker = services.program.getTypeChecker();
    const isWritten = (node) =>
      (node.parent.type === 'AssignmentExpression' && node.parent.left === node) ||
      (node.parent.type === 'UnaryExpression' && node.parent.operator === 'delete');
    return {
      'MemberExpression[computed=true]'(node) {
        if (node.property.type === 'Literal' || isWritten(node)) return;
        const object = services.getTypeAtLocation(node.object);
        if (checker.isArrayType(object) || checker.isTupleType(object)) return;
        const key = services.getTypeAtLocation(node.property);
        const isAnyText = (key.isUnion() ? key.types : [key]).some(
          ({ flags }) => flags & ts.TypeFlags.String,
        );
        if (!isAnyText || !checker.getIndexInfoOfType(object, ts.IndexKind.String)) return;
        context.report({ node, messageId: 'anyText' });
      },
    };
  },
};
