import type { MethodId } from '@/core/catalogue';
import {
  bandingOf,
  closeOf,
  crackPlanOf,
  damageLabel,
  dutchmanOf,
  feetOf,
  fillOf,
  jointGlueOf,
  partOf,
  partsWanted,
  plugOf,
  sliverOf,
  stripsOf,
  sumsOf,
  sumStarts,
  type KnownShop,
  type Repair,
} from '@/core/job';
import { ApartJointSection } from './ApartJointSection';
import { BandingSection } from './BandingSection';
import { CloseSection } from './CloseSection';
import { DrawerSection } from './DrawerSection';
import { DutchmanSection } from './DutchmanSection';
import { FeetSection } from './FeetSection';
import { FillSection } from './FillSection';
import { LevelSection } from './LevelSection';
import { PartSection } from './PartSection';
import { PilotSection } from './PilotSection';
import { PlugSection } from './PlugSection';
import { SliverSection } from './SliverSection';
import { StripsSection } from './StripsSection';

/** The sums of a method that is not veneer under a press: let in, filled, closed, levelled. Fields are kept with the damage. */
export function SumsSection({ repair, method, shop }: { repair: Repair; method: MethodId; shop: KnownShop }) {
  const sums = sumsOf(method);
  if (sums.length === 0) return null;
  const starts = sumStarts(repair);
  const dent = {
    fibresCut: repair.damage.body.answers.fibresCut ?? false,
    finishStays: repair.treated.goal === 'keep',
  };
  const crack = crackPlanOf(repair.treated, repair.face?.body, repair.damage.body, shop);
  const movesMm = crack?.ok ? crack.value.movesMm : undefined;
  const fill = fillOf(repair, method);
  return (
    <>
      {sums.map((sum) => {
        switch (sum) {
          case 'plug':
            return <PlugSection key={sum} plug={plugOf(repair, shop)} />;
          case 'dutchman':
            return (
              <DutchmanSection
                key={sum}
                starts={starts}
                title={damageLabel(repair.damage.body)}
                dutchman={dutchmanOf(repair)}
              />
            );
          case 'part':
            return (
              <PartSection
                key={sum}
                starts={starts}
                title={damageLabel(repair.damage.body)}
                part={partOf(repair)}
                wanted={partsWanted(repair)}
              />
            );
          case 'pilot':
            return <PilotSection key={sum} starts={starts} main={sums[0] === sum} />;
          case 'drawer':
            return <DrawerSection key={sum} starts={starts} />;
          case 'banding':
            return <BandingSection key={sum} banding={bandingOf(repair, shop)} />;
          case 'apart':
            return <ApartJointSection key={sum} starts={starts} glued={jointGlueOf(repair)} />;
          case 'strips':
            return (
              <StripsSection
                key={sum}
                starts={starts}
                title={damageLabel(repair.damage.body)}
                strips={stripsOf(repair)}
              />
            );
          case 'sliver':
            return (
              <SliverSection
                key={sum}
                starts={starts}
                title={damageLabel(repair.damage.body)}
                repair={repair}
                sliver={sliverOf(repair, movesMm)}
              />
            );
          case 'feet':
            return <FeetSection key={sum} starts={starts} sum={feetOf(repair, method)} />;
          case 'fill':
            return fill ? <FillSection key={sum} starts={starts} fill={fill} /> : null;
          case 'close':
            return <CloseSection key={sum} starts={starts} repair={repair} close={closeOf(repair, shop)} />;
          case 'level':
            return <LevelSection key={sum} starts={starts} dent={dent} />;
        }
      })}
    </>
  );
}
