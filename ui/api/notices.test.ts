import { useNotices } from './notices';

const undo = jest.fn();
const { say, dismiss, undo: takeBack, changed } = useNotices.getState();
beforeEach(() => {
  undo.mockReset();
  useNotices.setState({ notice: null, last: null });
});
const now = () => useNotices.getState();

test('a change can be undone after its notice has gone, once', () => {
  say({ text: 'Step 2 deleted.', tone: 'plain', undo, row: 'body' });
  dismiss();
  expect(now().notice).toBeNull();
  expect(now().last?.text).toBe('Step 2 deleted.');
  takeBack();
  takeBack();
  expect(undo).toHaveBeenCalledTimes(1);
});

test('a refusal does not take the offer away; a further change of the same row does, of another one does not', () => {
  say({ text: 'Step 2 deleted.', tone: 'plain', undo, row: 'body' });
  say({ text: 'It could not be written.', tone: 'wrong' });
  changed('another');
  expect(now().last?.text).toBe('Step 2 deleted.');
  changed('body');
  expect(now().last).toBeNull();
  expect(now().notice?.tone).toBe('wrong');
});

test('what is being said when a repair is left can be undone on the next screen; what was said before can not', () => {
  say({ text: 'Step 2 deleted.', tone: 'plain', undo, row: 'body' });
  dismiss();
  now().leave();
  expect(now().last).toBeNull();
  say({ text: 'The repair is deleted.', tone: 'plain', undo });
  now().leave();
  takeBack();
  expect(undo).toHaveBeenCalledTimes(1);
});
