import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useState } from 'react';
import { api, body, type Problem, type Schemas } from '../api/client';
import type { Feature } from '../api/queries';
import { screenId } from '../live/screen';

export type Gauge = Schemas['GaugeView'];

const KIND_OF = { angle: 'deg', height: 'in' } as const;

/** The gauges of the shed, and those that this screen has claimed. */
export function useGauges() {
  const client = useQueryClient();
  const [live, setLive] = useState<Record<string, Gauge>>({});
  const gauges = useQuery<Gauge[], Problem>({
    queryKey: ['gauges'],
    queryFn: () => body(api.GET('/api/gauges', { params: { query: { screen: screenId() } } })),
    retry: false,
  });
  const onGauge = useCallback((gauge: Gauge) => {
    setLive((before) => ({ ...before, [gauge.id]: gauge }));
  }, []);
  const claim = useMutation<Gauge, Problem, { id: string; takeOver: boolean }>({
    mutationFn: ({ id, takeOver }) =>
      body(api.PUT('/api/gauges/{id}/claim', { params: { path: { id } }, body: { screen: screenId(), takeOver } })),
    onSuccess: onGauge,
    onSettled: () => client.invalidateQueries({ queryKey: ['gauges'] }),
  });
  const release = useMutation<unknown, Problem, string>({
    mutationFn: (id) =>
      body(api.DELETE('/api/gauges/{id}/claim', { params: { path: { id }, query: { screen: screenId() } } })),
    onSuccess: (_, id) => {
      setLive((before) => Object.fromEntries(Object.entries(before).filter(([key]) => key !== id)));
    },
    onSettled: () => client.invalidateQueries({ queryKey: ['gauges'] }),
  });
  const all = (gauges.data ?? []).map((gauge) => live[gauge.id] ?? gauge);
  // One that was taken over from here is still shown, so that this is seen.
  const held = all.filter((gauge) => gauge.mine || live[gauge.id] !== undefined);
  return { all, held, claim, release, onGauge, refetch: () => void gauges.refetch() };
}

/** Of the gauges that this screen holds, the one that measures what a feature is measured in. */
export function gaugeFor(held: readonly Gauge[], feature: Feature | undefined): Gauge | undefined {
  return held.find(({ kind }) => KIND_OF[kind] === feature?.unit) ?? held[0];
}

/** Whether a gauge measures what a feature is measured in. */
export function fits(gauge: Gauge, feature: Feature): boolean {
  return KIND_OF[gauge.kind] === feature.unit;
}
