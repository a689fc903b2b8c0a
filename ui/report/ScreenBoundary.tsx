import { Component, useState, type ReactNode } from 'react';
import { Text, View } from 'react-native';

import type { Repair } from '@core/record/model';
import { programFaultOf, programFaultSentence, type ProgramFault } from '@core/reporting/wording';

import { Button } from '../shared/Button';
import { ReportSheet } from './ReportSheet';

interface BoundaryProps {
  /** In words that go on from “in”: the sizes. */
  where: string;
  repair?: Repair | undefined;
  children: ReactNode;
}

/** Holds a fault of the program to the screen that it is in, and says so; all round it goes on working. */
export class ScreenBoundary extends Component<BoundaryProps, { fault: ProgramFault | null }> {
  override state = { fault: null };

  static getDerivedStateFromError(thrown: unknown) {
    return { fault: programFaultOf(thrown, '', new Date().toISOString()) };
  }

  override render() {
    const fault = this.state.fault as ProgramFault | null;
    if (!fault) return this.props.children;
    return (
      <Broken
        fault={{ ...fault, where: this.props.where }}
        repair={this.props.repair}
        onAgain={() => this.setState({ fault: null })}
      />
    );
  }
}

/** In place of a screen that cannot be shown. */
export function Broken({
  fault,
  repair,
  onAgain,
}: {
  fault: ProgramFault;
  repair?: Repair | undefined;
  onAgain(): void;
}) {
  const [reporting, setReporting] = useState(false);
  return (
    <View role="alert" className="flex-1 gap-3 bg-paper p-4">
      <Text className="font-sans text-[17px] leading-7 text-ink">{programFaultSentence(fault)}</Text>
      <Button tone="primary" label="Show it again" onPress={onAgain} />
      <Button label="Report it" onPress={() => setReporting(true)} />
      {reporting ? <ReportSheet fault={fault} repair={repair} onClose={() => setReporting(false)} /> : null}
    </View>
  );
}
