import type { Fault, FaultCode, NamedLength } from '@core/fault';
import { showNumber } from '@core/quantity';
import { capital, degrees, listed } from '@core/sentence';

import { boundText, plainText, plainWord } from './plainNumbers';
import { rowWord } from './rows';
import { SERVER_SENTENCES } from './serverFaults';

const mm = (value: number) => `${showNumber(value)} mm`;
/** `bore B (6.25 mm)`, or `bore (6.25 mm)` when it has no tag. */
const named = ({ what, tag, mm: length }: NamedLength) => `${what}${tag ? ` ${tag}` : ''} (${mm(length)})`;
const quoted = (text: string) => `“${text.length > 40 ? `${text.slice(0, 40)}…` : text}”`;

const QUANTITY_WORDS: Record<string, string> = {
  length: 'a length',
  angle: 'an angle',
  count: 'a count',
};

const OPEN_PLACES: Record<string, string> = {
  top: 'at the top',
  bottom: 'at the bottom',
  both: 'at either end',
};

type Sentences = { [C in FaultCode]: (fault: Extract<Fault, { code: C }>) => string };

/** One sentence or two for each fault: what is wrong, by which rule, and the way out. */
const SENTENCES: Sentences = {
  'length.empty': () => 'There is no number yet. Type what the calipers show.',
  'length.notANumber': ({ text }) =>
    `${quoted(text)} is not a length. Type a number such as 38.20, or 1 3/16 in.`,
  'length.twoMarks': ({ text }) =>
    `${quoted(text)} has two decimal marks. Use one point or one comma, as in 38.20.`,
  'length.fractionNeedsInch': ({ text }) => `${quoted(text)} is a fraction. Fractions are inches: add “in”.`,
  'length.twoReadings': ({ text, readings }) =>
    `${quoted(text)} can be read in two ways. Choose the one that is meant: ${readings.map(quoted).join(' or ')}.`,
  'length.zeroDenominator': ({ text }) => `${quoted(text)} divides by zero. Check the fraction.`,
  'length.notPositive': ({ mm: value }) =>
    `A reading of ${mm(value)} can’t be right: a size is more than zero. Set the calipers to zero and take it again.`,
  'length.tooLong': ({ mm: value, limitMm, instrument }) =>
    `${mm(value)} is more than the ${instrument.toLowerCase()} can reach (${limitMm} mm). Check the decimal point.`,
  'length.tooLarge': ({ mm: value, limitMm }) =>
    `${mm(value)} is larger than anything made here (${limitMm} mm). Check the decimal point.`,
  'angle.notAnAngle': ({ text }) => `${quoted(text)} is not an angle. Type degrees, such as 22.5 or 22° 30'.`,
  'angle.outOfRange': ({ text }) => `${quoted(text)} is not between 0° and 180°. Check the number.`,
  'count.notACount': ({ text }) => `${quoted(text)} is not a count. Type a whole number from 1 to 10,000.`,

  'formula.empty': () => 'There is no formula yet. Type one, such as (A - B) / 2.',
  'formula.tooLong': ({ limit }) =>
    `A formula may have ${limit} characters. Split it: make a derived size of one half.`,
  'formula.notRead': ({ text }) =>
    `${quoted(text)} can’t be read as a sum. Use + − × ÷, brackets and tags, such as (A - B) / 2.`,
  'formula.exponent': ({ text }) =>
    `${quoted(text)} may be a power of ten, or a size E with a sign of multiplication left out. Write it out, as 0.2 or 2 * E - 1.`,
  'formula.unknownWord': ({ word }) =>
    `${quoted(word)} is not known here. Use tags in capitals, and sqrt, sin, cos, tan, asin, acos, atan, hypot, min, max, mean, abs or pi.`,
  'formula.fitInSize': ({ name }) =>
    `${quoted(name)} is a working size, which can stand in the numbers of a step, but not in a size: fits are made from sizes. Put it in the step.`,
  'formula.noFit': ({ name, tag }) =>
    `There is no fit of that kind on ${tag}, so ${quoted(name)} has no number. Add the fit, or check the tag.`,
  'formula.severalFits': ({ tag, choices }) => `Several fits go by ${tag}. Say which: ${choices}.`,
  'formula.unknownSize': ({ tag }) => `There is no size ${tag}. Add it first, or use another tag.`,
  'formula.mixedUnits': ({ left, right }) =>
    `${capital(left)} and ${right} can’t be taken together. Check the brackets, and which sizes are meant.`,
  'formula.powerNotPlain': () => 'A power must be a plain number, such as A^2. Write the number out.',
  'formula.wrongResult': ({ got, wanted }) =>
    `This gives ${got}, but ${QUANTITY_WORDS[wanted]} is wanted. Check what is multiplied and divided.`,
  'formula.divisionByZero': ({ text }) =>
    `${quoted(text)} divides by zero with these numbers. Check what stands under the line.`,
  'formula.notReal': ({ text }) =>
    `${quoted(text)} has no result with these numbers: a root of less than zero, or an angle that does not exist. Check them.`,
  'formula.cycle': ({ tags }) =>
    tags.length === 1
      ? `${tags[0]} is worked out from itself. Take it out of its own formula.`
      : `These sizes go round in a circle: ${[...tags, tags[0]].join(' needs ')}. Measure or choose one of them.`,

  'size.gone': ({ what }) => `The ${what} has no size yet, or its size was deleted. Choose one.`,
  'size.wrongQuantity': ({ what, got, wanted }) =>
    `The ${what} is ${QUANTITY_WORDS[got] ?? got}, but ${QUANTITY_WORDS[wanted] ?? wanted} is wanted here. Choose another size.`,
  'size.tooManyRoots': ({ limit }) =>
    `This rests on more than ${limit} measured sizes. Measure one of those in between instead.`,
  'triangle.open': ({ gapMm }) =>
    `These three lengths do not close: the longest is ${mm(gapMm)} longer than the other two together. Take them again.`,
  'construction.notPossible': ({ what, why }) =>
    `The ${what} can’t be worked out: ${why}. Check the numbers that go in.`,
  'layout.missing': ({ points, ways }) =>
    `${points.length === 1 ? `Point ${points[0]}` : `Points ${listed(points)}`} can still move: ${ways} more ${ways === 1 ? 'distance is' : 'distances are'} needed. Take one from ${points.length === 1 ? 'it' : 'each'} to a point that is held already.`,
  'layout.open': ({ points, gapMm }) =>
    `The distances between ${listed(points)} can’t meet: they miss each other by ${mm(gapMm)}. Take the longest and the shortest again.`,
  'layout.empty': () => 'A layout needs two points. Tap where they stand.',
  'layout.notSettled': () =>
    'These distances contradict each other too much to place the points. Look for a wrong one, or put the points on the sketch nearer to where they are.',

  'name.empty': ({ what }) => `${capital(what)} needs a name. Type a word or two.`,
  'name.taken': ({ name, tag }) =>
    `Size ${tag} is called “${name}” already. Name them so that they can be told apart, such as by side or place.`,
  'name.tooLong': ({ what, length, limit }) =>
    `The name of ${what} has ${length} characters; there is room for ${limit}. Shorten it, and put the rest in the brief.`,
  'field.invalid': ({ path, message }) => `${capital(path || 'this')}: ${message}.`,
  'row.missing': ({ row }) =>
    `This ${rowWord(row)} is no longer there. Go back to the list and open it again.`,
  'row.refersToNothing': ({ row, refersTo }) =>
    `This ${rowWord(row)} belongs to a ${refersTo} that is no longer there. Bring the ${refersTo} back first.`,
  'row.stale': ({ row }) =>
    `This ${rowWord(row)} was changed somewhere else in the meantime. Choose which of the two to keep.`,
  'row.frozen': ({ letter }) => `Revision ${letter} is frozen and stays as it is. Freeze a new one instead.`,
  'row.listFull': ({ row, limit }) =>
    `A repair has room for ${limit.toLocaleString('en')} ${rowWord(row)}s, deleted ones too, and they are all taken. Begin a new repair for the rest.`,
  'row.double': ({ row, path, id }) =>
    `Two parts of this ${rowWord(row)} go by one name, “${id}” at ${path}. Give each a name of its own.`,
  'photo.notAnImage': () =>
    'This is not a photo that can be read. Choose a JPEG, PNG, WebP, AVIF or TIFF picture.',
  'photo.tooBig': ({ bytes, limitBytes }) =>
    `This photo has ${Math.ceil(bytes / 1048576)} MB; up to ${limitBytes / 1048576} MB can be taken in. Take it smaller, or crop it.`,
  'photo.tooManyPixels': ({ megapixels, limitMegapixels }) =>
    `This photo has ${Math.round(megapixels)} megapixels; up to ${limitMegapixels} can be taken in. Take it smaller, or crop it.`,
  'photo.heif': () =>
    'This photo is in the HEIF format, which can’t be read here. Let the camera save JPEG (“most compatible”), or send it as JPEG or PNG.',
  ...SERVER_SENTENCES,
  'job.missing': () => 'This job is not here any more. Send it again from its layers.',
  'job.over': ({ state }) =>
    `This job is ${state === 'done' ? 'done' : 'over'} already. Send it again to make another.`,
  'job.machineBusy': ({ machine }) =>
    `${machine} is at work on another job. Wait for that, or cancel it, then go on.`,
  'device.unknown': () => 'There is nothing of that name on the practice bench. Load the page again.',
  'file.notJson': () =>
    'This is not a whole repair file: it can’t be read as JSON. It may have been cut short; get it again.',
  'file.notARepairFile': () =>
    'This is not a repair file: it does not say “format”: “even-spare-repair”. Choose another file.',
  'file.otherVersion': ({ version, supported }) =>
    `This repair file has version ${version === undefined ? 'none' : JSON.stringify(version)}; versions up to ${supported} can be read here. Save it again from the program that wrote it.`,
  'file.tooBig': ({ bytes, limitBytes }) =>
    `This file has ${Math.ceil(bytes / 1048576)} MB; repair files of up to ${limitBytes / 1048576} MB can be read. Choose another file.`,
  'file.unknownKey': ({ path, keys }) =>
    `The repair file has something unknown at ${path || 'its top'}: ${keys.map(quoted).join(', ')}. Take it out, or check its spelling.`,
  'file.invalid': ({ path, message }) => `The repair file has a mistake at ${path || 'its top'}: ${message}.`,

  'value.sizeNotTaken': ({ what, tag, name }) =>
    `The ${what} needs size ${tag} (${name}). Take a reading of it first.`,
  'value.sizeGone': ({ what }) =>
    `The ${what} used a size that is no longer there. Choose another size, or type a number.`,
  'value.fitGone': ({ what }) =>
    `The ${what} used a fit that is no longer there. Choose another, or type a number.`,
  'value.layoutGone': ({ what }) =>
    `The ${what} used a point of a layout that is no longer there. Choose another, or type a number.`,
  'value.pointNotPlaced': ({ what, point, layout }) =>
    `The ${what} needs point ${point} of ${layout}, which is not placed yet. Take the distances that are missing.`,
  'value.outOfRange': ({ length, minMm, maxMm }) =>
    Number.isFinite(length.mm)
      ? `The ${named(length)} must be between ${mm(minMm)} and ${mm(maxMm)}. Change the number.`
      : `The ${length.what} is not a number. Type one.`,
  'step.firstMustAdd': ({ verb }) =>
    `There is nothing to ${verb.toLowerCase()} yet. Begin with Turn or Plate.`,
  'step.pickLost': ({ lookingFor }) =>
    `This step was looking for ${lookingFor} and can’t find it. Choose again what it works on.`,
  'hole.widerThanBody': ({ bore, bodyMm }) =>
    `The ${named(bore)} is as wide as the part or wider (${mm(bodyMm)}). Make the part wider or the ${bore.what} smaller.`,
  'hole.missesBody': ({ bore }) => `The ${named(bore)} misses the part. Move it nearer to the middle.`,
  'hole.deeperThanBody': ({ depth, bodyMm }) =>
    `The ${named(depth)} reaches the bottom of the part (${mm(bodyMm)}). Make it less deep, or drill right through.`,
  'hole.headTooNarrow': ({ head, holeMm }) =>
    `The ${named(head)} is not wider than its hole (${mm(holeMm)}). Make it wider, or take it away.`,
  'hole.headTooDeep': ({ headMm, roomMm }) =>
    `The head goes ${mm(headMm)} deep, and there are ${mm(roomMm)} for it. Make it less deep, or the hole deeper.`,
  'pick.notFlat': () =>
    'Something can stand only on a flat face, and this one is not flat. Choose another face.',
  'groove.widerThanRim': ({ width, rimMm }) =>
    `The ${named(width)} is as wide as the rim or wider (${mm(rimMm)}). Make the groove narrower or the wheel wider.`,
  'groove.offRim': ({ up, limitMm }) =>
    `The groove is ${mm(up.mm)} off the middle of the rim and runs out of it. It can lie at most ${mm(limitMm)} off.`,
  'groove.deeperThanRadius': ({ depth, radiusMm }) =>
    `The ${named(depth)} reaches the middle of the wheel (${mm(radiusMm)}). Make it less deep.`,
  'outline.slotTooShort': ({ length, breadthMm }) =>
    `The ${named(length)} is not more than the breadth of the slot (${mm(breadthMm)}). Make it longer, or take a circle.`,
  'outline.noRing': ({ inner, outerMm }) =>
    `The ${named(inner)} is not less than the outer one (${mm(outerMm)}). Make it smaller.`,
  'outline.pointsMeet': ({ place }) =>
    `Point ${place} is where the next one is. Move one of them, or take it out.`,
  'outline.crosses': () => 'This outline crosses itself. Put its points in order, going round it once.',
  'outline.open': ({ x, y }) =>
    `This outline is open at ${showNumber(x)}, ${showNumber(y)}. Let the next curve begin there.`,
  'outline.loopsAside': () =>
    'One loop of this outline must lie round all the others, and those beside each other. Move them, or make a step of each.',
  'outline.noPoint': ({ place, point }) =>
    `Curve ${place} goes through ${quoted(point)}, and there is no point of that name. Put the point back, or choose another.`,
  'outline.notLevelThere': () =>
    'The outline lies in another plane than what it is put on, so it cannot stay where it stands. Put it on a face that is parallel to it, or give it a place of its own.',
  'outline.hasHoles': () =>
    'An outline with holes can be raised or turned, but not run or blended. Use one without, and cut the hole by a step of its own.',
  'outline.notHere': () =>
    'An outline taken from a step or a face needs the part it is taken from. Put this step after it.',
  'outline.noneOfStep': ({ place }) =>
    `Step ${place} has no outline that could be taken. Choose one that raises, lays, turns or drills.`,
  'outline.offsetTooFar': ({ by }) =>
    `Nothing is left of the outline when it is moved by the ${named(by)}. Take a smaller one.`,
  'outline.arcNeedsEnds': () =>
    'An arc needs a plain point on both of its sides. Let only every other point be one that an arc goes through.',
  'gear.noRoot': ({ teeth }) =>
    `With ${teeth} teeth and this shift nothing is left under the teeth. Take more teeth or more shift.`,
  'gear.pointed': ({ teeth }) =>
    `With ${teeth} teeth and these numbers the teeth come to a point before their tip. Take less shift or less backlash.`,
  'gear.noGap': ({ teeth }) =>
    `With ${teeth} teeth and these numbers there is no gap between the teeth. Take less shift.`,
  'wedge.flat': () => 'Both ends are nearly zero high, which leaves nothing. Make one of them higher.',
  'revolve.crossesAxis': ({ away, overMm }) =>
    `The outline reaches ${mm(overMm)} past the axis it turns about. Make the ${named(away)} larger, or the outline smaller.`,
  'sweep.endingOnClosed': () =>
    'A closed run comes back to its own beginning, so its section can’t become another. Take the other section away, or leave the path open.',
  'sweep.tooFewPoints': () => 'A closed path needs three points. Add one, or let it stay open.',
  'sweep.bendTooTight': ({ bend, halfMm }) =>
    `The ${named(bend)} must be more than the outline reaches from its path (${mm(halfMm)}). Make it larger, or 0 for sharp corners.`,
  'sweep.bentTooMuch': ({ halfMm, roomMm }) =>
    `The outline reaches ${mm(halfMm)} from its path, which bends so sharply that there is room for ${mm(roomMm)}. Make the outline smaller, or the path gentler.`,
  'sweep.legTooShort': ({ bend }) =>
    `The legs of this path are too short for the ${named(bend)}. Make the bend smaller, or move the points apart.`,
  'sweep.comesBackTurned': ({ turn }) =>
    `On coming back to its beginning the outline would be turned by ${degrees(turn)}, since the path does not lie in a plane, and would not meet itself. Take a circle for the outline, let the path be smooth, or move a point until it lies flat.`,
  'thread.unknown': ({ size }) => `${quoted(size)} is not in the tables of threads. Choose one that is.`,
  'thread.tooShort': ({ length, pitchMm }) =>
    `The ${named(length)} is shorter than one turn of the thread (${mm(pitchMm)}). Make it longer.`,
  'thread.playTooLarge': ({ play, depthMm }) =>
    `The ${named(play)} is more than the thread can give and still hold (${mm(depthMm)}). Make it smaller.`,
  'thread.tooLong': ({ length, limitMm }) =>
    `The ${named(length)} has more turns than are modelled (up to ${mm(limitMm)} of this one). Make it shorter, or let it be drawn only.`,
  'text.empty': () => 'There are no letters yet. Type some.',
  'text.noFont': () => 'The letters’ font has not arrived yet. Load the page again.',
  'text.notInFont': ({ letters }) => `The font has no ${quoted(letters)}. Use other letters.`,
  'tongue.bumpTooLong': ({ bump, lengthMm }) =>
    `The ${named(bump)} does not fit on a tongue of ${mm(lengthMm)}. Make the bump smaller, or the tongue longer.`,
  'testPiece.notThere': () =>
    'The spare has no face at this fit yet. Look at it under Shape until it is built whole, then cut the test piece.',
  'testPiece.wholePart': () =>
    'This fit goes round nearly the whole part: a piece would save nothing. Make the part itself.',
  'body.gone': () => 'The body that this step uses is no longer there. Choose another, or bring it back.',
  'body.notBuilt': ({ name }) => `${name} is not built yet. Mend its recipe first.`,
  'body.itself': () => 'A body can’t be made with itself. Choose another.',
  'body.circle': ({ names }) =>
    `These bodies go round in a circle: ${[...names, names[0]].join(' needs ')}. Take one of them out of the other.`,
  'body.noFits': ({ name }) =>
    `No size of ${name} goes through a fit. Add a fit for one of them, or give it the same play all round.`,
  'body.severalFits': ({ name, tag }) =>
    `Size ${tag} of ${name} goes through more than one fit, so it can’t be told which is meant. Delete one, or give it the same play all round.`,
  'body.noWayIn': ({ name }) =>
    `No way in can be cleared for ${name} from that side: a round face of it bulges past its own edge. Choose another side, or cut the way by hand.`,
  'offset.none': () => 'None of these faces is left. Choose other faces, or put this step earlier.',
  'offset.noneMates': () =>
    'No step before this one takes a number from a fit, so there are no mating faces. Choose the faces of a step.',
  'offset.otherForm': ({ face }) =>
    `Flat faces, cylinders, cones and balls can be moved by themselves, and ${face} is none of them. Change the step that makes it, or move all faces.`,
  'offset.pastMiddle': ({ face }) =>
    `This moves ${face} past its own middle, so that nothing is left of it. Move it less.`,
  'split.noGap': () =>
    'Two halves that lie face on face are one piece in a file. Give the gap between them a length, or keep one half alone.',
  'draft.closes': ({ mostAngle, mostMm }) =>
    `Leaning so far, its sides meet before they reach their height. At this height they can lean by up to about ${degrees(mostAngle)}; at this angle it can be about ${mm(mostMm)} high.`,
  'draft.nothing': () => 'None of these sides can lean: they are gone, or not upright. Choose another step.',
  'split.missesBody': ({ at }) => `A cut at ${mm(at.mm)} misses the part. Choose a place within it.`,
  'split.pegsDoNotFit': ({ diameter }) =>
    `Pegs with a ${named(diameter)} find no room on the cut. Make them thinner, shorter or closer together.`,
  'split.atOutside': () =>
    'The part lies wholly on one side of this face, so it splits nothing. Choose a face inside it, or a place.',
  'split.tiesDoNotFit': ({ breadth }) =>
    `Slots with a ${named(breadth)} find no room on the cut. Make them narrower, thinner or closer together.`,
  'extrude.nothingToGoThrough': () =>
    'There is nothing yet to go right through. Give it a height, or put a step before it.',
  'extrude.upToBehind': () =>
    'The face it should go up to lies behind where it begins, or beside its way. Choose another face, or give it a height.',
  'apart.touches': () =>
    'It touches what is there, so it can’t be a piece of its own. Move it away, or let it be joined.',
  'extrude.missesBody': () =>
    'It lies wholly outside the part. Check its place to the right and to the back.',
  'mirror.notPossible': ({ place }) =>
    `Step ${place} works on all that is there, so it can’t be mirrored by itself. Choose steps that add, cut, round or ease.`,
  'mirror.fills': ({ place }) =>
    `The mirror image of all that is there fills what step ${place} has cut. Mirror only the steps that are to be on both sides, or mirror before that step.`,
  'pattern.notPossible': () =>
    'A step that works on edges or on all that is there can’t be repeated. Choose one that adds or cuts something.',
  'shell.wallTooThick': ({ wall, limitMm }) =>
    `The ${named(wall)} leaves nothing inside: it must be less than ${mm(limitMm)} here. Make it thinner.`,
  'shell.nothingToOpen': ({ open }) =>
    `There is no level face ${OPEN_PLACES[open]} to open. Choose another side, or hollow it earlier.`,
  'stations.notRising': ({ place, at }) =>
    `Station ${place} (${mm(at.mm)}) does not stand above the one before it. Put the stations in order, from the bottom up.`,
  'cone.isNone': ({ across }) =>
    `Both ends are ${mm(across.mm)} across, which makes no cone. Raise a circle instead, or change one end.`,
  'torus.tooThick': ({ thick, acrossMm }) =>
    `The ${named(thick)} fills the whole ring (${mm(acrossMm)} across). Make it thinner.`,
  'plate.cornerTooRound': ({ radius, limitMm }) =>
    `The ${named(radius)} must be from zero to less than half the narrow side (${mm(limitMm)}). Make it smaller.`,
  'chamfer.tooLarge': ({ size, verb, mostMm, at }) =>
    `There is no room to ${verb.toLowerCase()} these edges by ${mm(size.mm)}, ${at}. ${
      mostMm === null ? 'Make it smaller' : `About ${mm(mostMm)} goes: make it no larger`
    }, or choose other edges.`,
  'plain.notRead': ({ text, input }) =>
    `${quoted(text)} is not ${input === 'angle' ? 'an angle in degrees' : input === 'count' ? 'a whole number' : 'a number'}. Type one, such as ${input === 'factor' ? '1.5' : '12'}.`,
  'plain.outOfRange': ({ input, least, most, path, got }) => {
    const bounds = `between ${boundText(least, input, Math.ceil)} and ${boundText(most, input, Math.floor)}`;
    if (path === undefined || got === undefined) return `This must be ${bounds}. Change the number.`;
    return `The ${plainWord(path)} comes out as ${input === 'angle' ? degrees(got) : plainText(got)}: it must be ${bounds}. Change the sizes it comes from, or type a number.`;
  },
  'plain.notWhole': ({ got }) =>
    `This comes out as ${plainText(got)}, and a whole number is needed. Change the formula, or type a number.`,
  'floor.notLevel': () =>
    'This is not cut straight down or up, so its floor has no one height above the ground. Say how deep it is instead.',
  'floor.outside': ({ floor, placeMm, down }) =>
    `The ${named(floor)} above the ground is not ${down ? 'below' : 'above'} where the cut begins (${mm(placeMm)}). Make it ${down ? 'lower' : 'higher'}.`,
  'step.nothingLeft': () => 'This step leaves nothing of the part. Make it smaller, or move it.',
  'step.changesNothing': () =>
    'This step changes nothing: it misses the part, or is all inside it. Move it or change its size.',
  'step.touchesAtEdge': () =>
    'Here the part touches itself at an edge alone, which nothing could hold together. Move it so that they overlap, or are apart.',
  'make.notGrown': ({ reason }) =>
    `The spare cannot be made larger for its shrinkage (${reason}). Give the machine the same shrinkage along all three ways, or none.`,
  'slice.noLayerMachine': ({ machine }) =>
    `${machine} lays no layers, or the Workshop does not say how. Choose a layer printer, say there what this one can do, or save a file for it.`,
  'slice.noLayerMaterial': ({ material }) =>
    `${material} does not come as filament, as far as the Workshop knows. Choose a plastic that does, add it there, or save a file for whoever makes it.`,
  'slice.layerHeight': ({ layerMm, leastMm, mostMm }) =>
    `Layers of ${mm(layerMm)} can’t be laid with this nozzle: it lays from ${mm(leastMm)} to ${mm(mostMm)}. Choose other settings, or another printer.`,
  'slice.machineTooCold': ({ neededC, mostC }) =>
    `This material wants ${neededC} °C, and this printer’s nozzle may have ${mostC} °C at most. Choose another of the two.`,
  'slice.doesNotFit': ({ sizeMm, roomMm }) =>
    `As it lies the part takes ${boxText(sizeMm)}, and the printer has ${boxText(roomMm)}: ${tooLarge(sizeMm, roomMm)}. Lay it another way, choose a larger printer, or split it.`,
  'slice.tooLow': ({ heightMm, firstLayerMm }) =>
    `As it lies the part is ${mm(heightMm)} high, less than its first layer (${mm(firstLayerMm)}). Lay it another way.`,
  'slice.tooManyLayers': ({ layers, most }) =>
    `That would be ${layers} layers; up to ${most} are laid. Choose higher layers, or lay it flatter.`,
  'slice.notClosed': ({ edges }) =>
    `The part’s triangles do not close at ${edges} edges, so nobody can tell what is inside. Change the last step a little.`,
  'slice.nothingLaid': ({ lineMm }) =>
    `As it lies no place of the part is thick enough for a line of ${mm(lineMm)}. Lay it another way, make it thicker, or choose a printer with a finer nozzle.`,
  'slice.notLaid': () => 'Nothing is laid in layers yet. Lay the part first, then save its job.',
  'gcode.outside': ({ line, axis, mm: at, mostMm }) =>
    `Line ${line} of the job goes to ${axis} ${mm(at)}, and the printer reaches from 0 to ${mm(mostMm)}. Change the printer’s first or last commands, or lay the part elsewhere.`,
  'gcode.tooHot': ({ line, what, celsius, mostCelsius }) =>
    `Line ${line} of the job heats the ${what} to ${celsius} °C; ${mostCelsius} °C is the most it may have. Change the printer’s first or last commands, or the material.`,
  'step.notValid': ({ reason }) =>
    `This step does not give a sound solid: ${reason}. Change its numbers a little.`,
  'step.timedOut': ({ seconds }) =>
    `This step took longer than ${seconds} seconds and was stopped. Change its numbers, or take it out.`,
  'step.stopped': () => 'This step was stopped before it was done. Build it again, or change its numbers.',
  'step.kernelFailed': () =>
    'This step can’t be built with these numbers. Change them a little, or put it earlier in the recipe.',
};

const boxText = (box: readonly number[]) => `${box.map((side) => plainText(side)).join(' × ')} mm`;

/** "12.3 mm too long in x, 4 mm too high" */
function tooLarge(size: readonly number[], room: readonly number[]): string {
  const words = ['too broad', 'too deep', 'too high'];
  return size
    .flatMap((side, axis) => (side > room[axis]! ? [`${mm(side - room[axis]!)} ${words[axis]}`] : []))
    .join(', ');
}

/** The sentence for a fault, for a screen, the CLI or a refusal of the API. */
export function sentenceOf(fault: Fault): string {
  return (SENTENCES[fault.code] as (fault: Fault) => string)(fault);
}

/** Codes that have a sentence; for the test that none is missing. */
export const FAULT_CODES = Object.keys(SENTENCES) as FaultCode[];

/** True for data that has the shape of a fault we know, for what comes over a border. */
export function isKnownFault(data: { code: string }): data is Fault {
  return data.code in SENTENCES;
}
