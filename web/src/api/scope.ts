import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, type Problem, type S, unwrap } from './client';
import { versioned } from './hooks';

export const useSlideKey = () =>
  useQuery<S['SlideKey'], Problem>({
    queryKey: ['slide-key'],
    queryFn: () => unwrap<S['SlideKey']>(api.GET('/api/v1/scope/key')),
    staleTime: Number.POSITIVE_INFINITY,
  });

/** The species weighed by what was seen so far. */
export const useIdentify = (body: S['KeyInput']) =>
  useQuery<S['KeyAnswer'], Problem>({
    queryKey: ['identify', JSON.stringify(body)],
    queryFn: () => unwrap<S['KeyAnswer']>(api.POST('/api/v1/scope/identify', { body })),
    enabled: !!body.group,
    retry: false,
    placeholderData: (o) => o,
  });

export const useRatio = (body: S['RatioRequest']) =>
  useQuery<S['Ratio'], Problem>({
    queryKey: ['ratio', JSON.stringify(body)],
    queryFn: () => unwrap<S['Ratio']>(api.POST('/api/v1/scope/ratio', { body })),
    enabled: (body.a?.length ?? 0) > 0 && (body.b?.length ?? 0) > 0,
    retry: false,
    placeholderData: (o) => o,
  });

export const useReticle = (readings: S['Reading'][], unit: 'division' | 'pixel') =>
  useQuery<S['Factor'], Problem>({
    queryKey: ['reticle', unit, JSON.stringify(readings)],
    queryFn: () => unwrap<S['Factor']>(api.POST('/api/v1/scope/reticle', { body: { readings, unit } })),
    enabled: readings.length > 0,
    retry: false,
    placeholderData: (o) => o,
  });

/** What this person's microscopes are calibrated to, with the version a change sends back. */
export const useCalibrations = () =>
  useQuery<{ list: S['Calibration'][]; version: string }, Problem>({
    queryKey: ['calibrations'],
    queryFn: async () => {
      const { body, version } = await versioned<S['Calibration'][]>(api.GET('/api/v1/scope/calibrations'));
      return { list: body, version };
    },
  });

export function useCalibrate() {
  const client = useQueryClient();
  const { data } = useCalibrations();
  return useMutation<S['Calibration'][], Problem, S['NewCalibration']>({
    mutationFn: (body) =>
      unwrap<S['Calibration'][]>(
        api.PUT('/api/v1/scope/calibrations', { params: { header: { 'If-Match': data?.version ?? '0' } }, body }),
      ),
    onSettled: () => client.invalidateQueries({ queryKey: ['calibrations'] }),
  });
}
