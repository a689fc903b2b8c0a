import { z } from 'zod';

import { NAME_LIMIT, Name } from '@core/model';
import { sentenceOf } from '@core/wording';

/** A name in a form, with our sentences for what can be wrong with it. `what` is "the repair", "the size". */
export const nameField = (what: string) =>
  z.string().superRefine((text, context) => {
    const length = text.trim().length;
    if (length === 0) {
      context.addIssue({ code: 'custom', message: sentenceOf({ code: 'name.empty', what }) });
    } else if (length > NAME_LIMIT) {
      context.addIssue({
        code: 'custom',
        message: sentenceOf({ code: 'name.tooLong', what, length, limit: NAME_LIMIT }),
      });
    } else if (!Name.safeParse(text).success) {
      context.addIssue({
        code: 'custom',
        message: sentenceOf({
          code: 'field.invalid',
          path: `the name of ${what}`,
          message: 'it must be on one line',
        }),
      });
    }
  });
