import { decideBarrier, type BarrierEdition, type BarrierQuestion } from '../gland/barrier';
import { requireFinite } from '../quantity/error';

export interface BarrierInput {
  edition: BarrierEdition;
  certificate_demands_barrier: boolean;
  mineral_insulated: boolean;
  sealing_device: boolean;
  class_a: boolean;
  breathing_test_passed: boolean;
  indirect_entry: boolean;
  length_m: number;
  ignition_source: boolean;
  group: 'IIA' | 'IIB' | 'IIC';
  zone: 1 | 2;
  volume_dm3: number;
}

export interface BarrierOutput {
  barrier_required: boolean;
  path: { question: BarrierQuestion; answer: boolean }[];
}

/** Door `barrier`: whether a flameproof entry needs a barrier gland, with the path of questions. */
export function barrier(input: BarrierInput): BarrierOutput {
  requireFinite({ length_m: input.length_m, volume_dm3: input.volume_dm3 });
  const { barrierRequired, path } = decideBarrier(input.edition, {
    certificateDemandsBarrier: input.certificate_demands_barrier,
    mineralInsulated: input.mineral_insulated,
    sealingDevice: input.sealing_device,
    classA: input.class_a,
    breathingTestPassed: input.breathing_test_passed,
    indirectEntry: input.indirect_entry,
    lengthM: input.length_m,
    ignitionSource: input.ignition_source,
    group: input.group,
    zone: input.zone,
    volumeDm3: input.volume_dm3,
  });
  return { barrier_required: barrierRequired, path };
}
