import type { LightPlace, Young } from '@hypogeon/core/botany';
import type { LeaveKind, Link, StepId } from '@hypogeon/core/care';
import type { Feeding, MotherTending, Sign, TaskId } from '@hypogeon/core/journal';
import type { LookAnswer } from '@hypogeon/core/round';
import * as say from '@hypogeon/messages/tasks';

/** What a task is called where there is no room for its sentence. */
export const TASK_NAME: Readonly<Record<TaskId, string>> = {
  get 'water-mother'() {
    return say.waterTheMother();
  },
  get cut() {
    return say.cut();
  },
  get stick() {
    return say.setInTheMix();
  },
  get wound() {
    return say.touchAWound();
  },
  get stopped() {
    return say.woundStandsStill();
  },
  get 'first-water'() {
    return say.firstWater();
  },
  get water() {
    return say.water();
  },
  get mist() {
    return say.mist();
  },
  get pool() {
    return say.waterAtTheBase();
  },
  get roots() {
    return say.lookForRoots();
  },
  get pups() {
    return say.lookForNewGrowth();
  },
  get overdue() {
    return say.longWithoutRoots();
  },
  get alive() {
    return say.seeWhetherItStill();
  },
  get neighbour() {
    return say.lookRotNearIt();
  },
  get 'pot-on'() {
    return say.potOn();
  },
  get 'pot-water'() {
    return say.firstDrinkInThe();
  },
  get 'jar-stir'() {
    return say.moveTheJarsWater();
  },
  get 'jar-change'() {
    return say.changeTheJarsWater();
  },
  get 'jar-feed'() {
    return say.feedInTheJar();
  },
  get wean() {
    return say.fromJarToMix();
  },
  get light() {
    return say.moreLight();
  },
  get feed() {
    return say.feed();
  },
  get 'leaf-off'() {
    return say.motherLeaf();
  },
  get air() {
    return say.moreAir();
  },
  get again() {
    return say.lookAgain();
  },
};

export const STEP_NAME: Readonly<Record<StepId, string>> = {
  get 'water-mother'() {
    return say.waterTheMother();
  },
  get cut() {
    return say.cut();
  },
  get callused() {
    return say.dryAndClosed();
  },
  get stick() {
    return say.setWord();
  },
  get gate() {
    return say.safeToWater();
  },
  get 'first-water'() {
    return say.firstWater();
  },
  get roots() {
    return say.roots();
  },
  get wean() {
    return say.intoTheMix();
  },
  get pups() {
    return say.pups();
  },
  get light() {
    return say.moreLight();
  },
  get feed() {
    return say.firstFeed();
  },
  get 'pot-on'() {
    return say.potOn();
  },
};

export const LIGHT_PLACE: Readonly<Record<LightPlace, string>> = {
  get 'bright-shade'() {
    return say.brightShadeNoSun();
  },
  get window() {
    return say.aPlaceNearA();
  },
  get morning() {
    return say.anHourOfMorning();
  },
  get 'half-day'() {
    return say.halfADayOf();
  },
  get 'noon-shade'() {
    return say.brightLightShadedAt();
  },
  get sun() {
    return say.fullSun();
  },
};

export const LINK_NAME: Readonly<Record<Link, string>> = {
  get tray() {
    return say.inTheSameTray();
  },
  get place() {
    return say.inTheSamePlace();
  },
  get blade() {
    return say.cutWithTheSame();
  },
  get mother() {
    return say.ofTheSameMother();
  },
  get mix() {
    return say.inTheSameMix();
  },
};

/** What a piece with roots brings: as it is looked for, and as it is counted. */
export const YOUNG_NAME: Readonly<Record<Young, string>> = {
  get pups() {
    return say.pups2();
  },
  get shoots() {
    return say.newShoots();
  },
  get heads() {
    return say.newHeads();
  },
  get joints() {
    return say.newJoints();
  },
  get plantlets() {
    return say.plantlets();
  },
  get 'true-leaves'() {
    return say.trueLeaves();
  },
};

/** The same on the key that counts them, with what is looked for. Common practice, no source. */
export const YOUNG_KEY: Readonly<Record<Young, { readonly name: string; readonly says: string }>> =
  {
    pups: {
      get name() {
        return say.withPups();
      },
      get says() {
        return say.rootedANewPlant();
      },
    },
    shoots: {
      get name() {
        return say.withNewShoots();
      },
      get says() {
        return say.rootedAShootBeside();
      },
    },
    heads: {
      get name() {
        return say.withNewHeads();
      },
      get says() {
        return say.rootedAndGrowingOn();
      },
    },
    joints: {
      get name() {
        return say.withNewJoints();
      },
      get says() {
        return say.rootedAJointOn();
      },
    },
    plantlets: {
      get name() {
        return say.withPlantlets();
      },
      get says() {
        return say.alongItsEdgeWith();
      },
    },
    'true-leaves': {
      get name() {
        return say.withTrueLeaves();
      },
      get says() {
        return say.readyToBePricked();
      },
    },
  };

/** What is to be left alone, before its day: `No water until …`. */
export const LEAVE_NAME: Readonly<Record<LeaveKind, string>> = {
  get planned() {
    return say.planned();
  },
  get gate() {
    return say.noWater();
  },
  get drying() {
    return say.letItDry();
  },
  get held() {
    return say.holdTheWater();
  },
  get water() {
    return say.noWater();
  },
  get rooting() {
    return say.leaveAlone();
  },
  get jar() {
    return say.leaveTheJar();
  },
  get shade() {
    return say.keepItShaded();
  },
  get rest() {
    return say.letItRest();
  },
  get grown() {
    return say.grownOn();
  },
  get postponed() {
    return say.postponed();
  },
};

/** What feeding is, and what leaving it costs. Common practice, no source. */
export const feedingSays = say.halfStrengthEveryTwo;

/** When rooted ones are fed. */
export const FEEDING_NAME: Readonly<Record<Feeding, string>> = {
  get 'in-growth'() {
    return say.whileItGrows();
  },
  get fortnightly() {
    return say.alwaysButInIts();
  },
  get never() {
    return say.never();
  },
};

/** What a look may find. */
export const SIGN_NAME: Readonly<Record<Sign, string>> = {
  get 'root-points'() {
    return say.rootPoints();
  },
  get 'white-roots'() {
    return say.whiteRoots();
  },
  get 'brown-roots'() {
    return say.brownFirmRoots();
  },
  get 'dead-roots'() {
    return say.deadOrMushyRoots();
  },
  get 'black-leaf'() {
    return say.aBlackLeaf();
  },
  get 'broken-leaf'() {
    return say.aBrokenLeaf();
  },
  get 'leaf-crisp'() {
    return say.theOldLeafIs();
  },
  get 'crown-wet'() {
    return say.waterInTheCrown();
  },
  get crested() {
    return say.crestedGrowth();
  },
  get 'new-growth'() {
    return say.newGrowth();
  },
  get 'pot-bulging'() {
    return say.thePotBulges();
  },
  get 'roots-out'() {
    return say.rootsOutOfThe();
  },
  get gnats() {
    return say.gnatsOverTheMix();
  },
};

export const MOTHER_TASK: Readonly<Record<MotherTending, string>> = {
  get watered() {
    return say.waterIt();
  },
  get light() {
    return say.moreLight();
  },
  get feed() {
    return say.feed();
  },
  get looked() {
    return say.lookForNewHeads();
  },
};

/** An answer to a look, on its button, and as it is told once it is saved. */
export const ANSWER_NAME: Readonly<Record<LookAnswer, string>> = {
  get firm() {
    return say.firm();
  },
  get tacky() {
    return say.tacky();
  },
  get fine() {
    return say.firm();
  },
  get soft() {
    return say.soft();
  },
  get alive() {
    return say.alive();
  },
  get 'leaf-off'() {
    return say.takenOff();
  },
};

export const ANSWER_SAYS: Readonly<Record<LookAnswer, string>> = {
  get firm() {
    return say.dryAndFirm();
  },
  get tacky() {
    return say.stillTacky();
  },
  get fine() {
    return say.lookedFirm();
  },
  get soft() {
    return say.lookedSoft();
  },
  get alive() {
    return say.itLives();
  },
  get 'leaf-off'() {
    return say.oldLeafTakenOff();
  },
};

export const MOTHER_DONE: Readonly<Record<MotherTending, string>> = {
  get watered() {
    return say.watered();
  },
  get light() {
    return say.brighter();
  },
  get feed() {
    return say.fed();
  },
  get looked() {
    return say.looked();
  },
};
