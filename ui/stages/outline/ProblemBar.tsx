import { Text, View } from 'react-native';

import { drawnProblemSentence } from '@core/reporting/wording';
import { withoutCurves, withRelation, type DrawnProblem } from '@core/shaping/drawnEdits';

import { Chip } from './Chip';
import type { Tool } from './tools';
import type { Drawing } from './useDrawing';

/** What keeps a drawing from being an outline, and what would mend it. */
export function ProblemBar({
  problem,
  drawing,
  onTool,
}: {
  problem: DrawnProblem;
  drawing: Drawing;
  onTool(tool: Tool): void;
}) {
  const { outline, keep } = drawing;
  return (
    <View className="gap-1.5 px-3 pb-1.5">
      <Text className="font-sans text-[15px] leading-[21px] text-rust">{drawnProblemSentence(problem)}</Text>
      <View className="flex-row flex-wrap gap-1.5">
        {problem.kind === 'gap' ? (
          <Chip
            label="Join them"
            onPress={() =>
              keep(withRelation(outline, { kind: 'coincident', points: [...problem.points] }), 'Joined.')
            }
          />
        ) : null}
        {problem.kind === 'doubled' || problem.kind === 'noLength' ? (
          <Chip
            label="Delete it"
            isDanger
            onPress={() => keep(withoutCurves(outline, new Set([problem.curve])), 'Deleted.')}
          />
        ) : null}
        {problem.kind === 'crossing' || problem.kind === 'fork' ? (
          <>
            <Chip label="Trim the rest away" onPress={() => onTool('trim')} />
            <Chip label="Take areas" onPress={() => onTool('area')} />
          </>
        ) : null}
      </View>
    </View>
  );
}
