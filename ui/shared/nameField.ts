import { z } from 'zod';

import { NAME_LIMIT, Name } from '@core/record/model';
import { sentenceOf } from '@core/reporting/wording';

/** What is wrong with a name, in our sentences; null for nothing. `what` is "the repair", "the size". */
export const nameProblem =
  (what: string) =>
  (text: string): string | null => {
    const length = text.trim().length;
    if (length === 0) return sentenceOf({ code: 'name.empty', what });
    if (length > NAME_LIMIT) return sentenceOf({ code: 'name.tooLong', what, length, limit: NAME_LIMIT });
    return Name.safeParse(text).success
      ? null
      : sentenceOf({
          code: 'field.invalid',
          path: `the name of ${what}`,
          message: 'it must be on one line',
        });
  };

/** A name in the schema of a form. */
export const nameField = (what: string) =>
  z.string().superRefine((text, context) => {
    const message = nameProblem(what)(text);
    if (message) context.addIssue({ code: 'custom', message });
  });
