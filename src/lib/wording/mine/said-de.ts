/** What is said on a card, in German, by its English words: essentials and cautions of the catalogue. What a practice wrote itself stays as it is. */
export const CUES_DE: Readonly<Record<string, string>> = {
	'Feet back under the knees': 'Füße zurück unter die Knie',
	'Swing the straight trunk, then push the floor away':
		'Den geraden Rumpf nach vorn schwingen, dann den Boden wegdrücken',
	'Sit down hips first, slowly': 'Mit der Hüfte zuerst hinsetzen, langsam',
	'Hips back first, as if to a far chair': 'Zuerst die Hüfte nach hinten, wie zu einem fernen Stuhl',
	'Shins stay upright': 'Die Schienbeine bleiben aufrecht',
	'Reach forward to balance': 'Die Arme nach vorn, um das Gleichgewicht zu halten',
	'Trunk and shins lean the same way': 'Rumpf und Schienbeine neigen sich gleich',
	'Weight over the middle of the foot': 'Gewicht über der Mitte des Fußes',
	'Knees follow the middle toes': 'Die Knie folgen den mittleren Zehen',
	'Knees travel over the toes': 'Die Knie gehen über die Zehen hinaus',
	'Trunk stays tall': 'Der Rumpf bleibt aufrecht',
	'Heels stay heavy on floor or wedge': 'Die Fersen bleiben schwer auf Boden oder Keil',
	'Ribs over pelvis': 'Rippen über dem Becken',
	'Breathe out as you rise': 'Beim Aufstehen ausatmen',
	'Stop where the position is lost': 'Aufhören, wo die Haltung verloren geht',
	'Long breath out': 'Lang ausatmen',
	'Whole foot on the step': 'Der ganze Fuß auf der Stufe',
	'Push the step away; the leg behind is only a passenger':
		'Die Stufe wegdrücken; das hintere Bein fährt nur mit',
	'Down as slowly as up': 'Hinunter so langsam wie hinauf',
	'Knee over the middle toes, trunk tall': 'Knie über den mittleren Zehen, Rumpf aufrecht',
	'Straight down, like a lift': 'Gerade hinunter, wie ein Aufzug',
	'Front foot whole on the floor': 'Der vordere Fuß ganz auf dem Boden',
	'Rear leg a kickstand': 'Das hintere Bein ist nur ein Ständer',
	'Hips back over the front heel': 'Die Hüfte zurück über die vordere Ferse',
	'Front shin stays upright': 'Das vordere Schienbein bleibt aufrecht',
	'Trunk and front shin lean the same way': 'Rumpf und vorderes Schienbein neigen sich gleich',
	'Front knee travels over the toes': 'Das vordere Knie geht über die Zehen hinaus',
	'Heel stays heavy': 'Die Ferse bleibt schwer',
	'Tailbone down, crown up': 'Steißbein nach unten, Scheitel nach oben',
	'Rear leg works and stretches': 'Das hintere Bein arbeitet und dehnt sich',
	'Both feet flat and pointing ahead': 'Beide Füße flach und nach vorn gerichtet',
	'Sit back over one heel': 'Über eine Ferse zurücksetzen',
	'The long leg stays long': 'Das lange Bein bleibt lang',
	'Feet and pelvis first': 'Zuerst Füße und Becken',
	'Feet stay straight': 'Die Füße bleiben gerade',
	'Tuck only when the groin has opened': 'Das Becken erst kippen, wenn die Leiste offen ist',
	'Hips go back, as if to shut a drawer': 'Die Hüfte geht nach hinten, als schlösse sie eine Schublade',
	'Long back from crown to tailbone': 'Langer Rücken vom Scheitel bis zum Steißbein',
	'Weight stays on the whole foot': 'Das Gewicht bleibt auf dem ganzen Fuß',
	'Breathe out as you come up': 'Beim Hochkommen ausatmen',
	'Stop where the back would round': 'Aufhören, wo der Rücken rund würde',
	'Down and back, not together': 'Nach unten und hinten, nicht zusammen',
	'Armpits firm': 'Achseln fest',
	'Breathe on': 'Weiteratmen',
	'Tuck a little, then lift': 'Das Becken etwas kippen, dann heben',
	'Straight line, no higher': 'Eine gerade Linie, nicht höher',
	'Squeeze for a breath at the top': 'Oben einen Atemzug lang anspannen',
	'Ribs stay down': 'Die Rippen bleiben unten',
	'Breathe out on the way up': 'Auf dem Weg nach oben ausatmen',
	'Stand tall on a soft knee': 'Groß stehen, das Knie weich',
	'Heel to the ceiling behind': 'Die Ferse hinten zur Decke',
	'Only as far as the back stays still': 'Nur so weit, wie der Rücken still bleibt',
	'Long back, soft elbows': 'Langer Rücken, weiche Ellbogen',
	'Heel pushes the ceiling': 'Die Ferse drückt gegen die Decke',
	'One line from crown to heel': 'Eine Linie vom Scheitel bis zur Ferse',
	'Lift a hand’s width': 'Eine Handbreit anheben',
	'Knee in without the back rounding': 'Das Knie heran, ohne dass der Rücken rund wird',
	'Hands under the shoulders': 'Hände unter den Schultern',
	'Long behind, no higher than the line': 'Lang nach hinten, nicht höher als die Linie',
	'Pelvis faces front': 'Das Becken zeigt nach vorn',
	'Slow out, slower back': 'Langsam hinaus, langsamer zurück',
	'Feel it beside the back pocket': 'Neben der Gesäßtasche spüren',
	'Half strength': 'Mit halber Kraft',
	'Let go slowly': 'Langsam loslassen',
	'Sit tall, back flush': 'Aufrecht sitzen, Rücken angelehnt',
	'Straighten without a jerk': 'Ohne Ruck strecken',
	'Lower more slowly than you lift': 'Langsamer senken als heben',
	'Thigh tight before the heel leaves': 'Den Oberschenkel anspannen, bevor die Ferse abhebt',
	'Knee stays straight': 'Das Knie bleibt gestreckt',
	'Down more slowly than up': 'Langsamer hinunter als hinauf',
	'Hips stay still': 'Die Hüfte bleibt still',
	'Heel to buttock without a jerk': 'Die Ferse ohne Ruck zum Gesäß',
	'Whole foot on the plate': 'Der ganze Fuß auf der Platte',
	'Pelvis stays heavy': 'Das Becken bleibt schwer',
	'Push without locking the knees': 'Drücken, ohne die Knie durchzustrecken',
	'Push through the big toe': 'Über die große Zehe drücken',
	'Two seconds on top': 'Oben zwei Sekunden halten',
	'Down slowly': 'Langsam hinunter',
	'Push with the whole forefoot': 'Mit dem ganzen Vorfuß drücken',
	'Slowly back': 'Langsam zurück',
	'Toes stay long': 'Die Zehen bleiben lang',
	'Tripod of heel, big toe, little toe': 'Dreibein aus Ferse, großer und kleiner Zehe',
	'Eyes on one spot': 'Die Augen auf einen Punkt',
	'From the ankles, in one piece': 'Aus den Sprunggelenken, in einem Stück',
	'Find the middle and stay': 'Die Mitte finden und bleiben',
	'Land as if nobody may hear': 'Landen, als dürfte es niemand hören',
	'Knees over the middle toes': 'Knie über den mittleren Zehen',
	'Stop while it is still soft': 'Aufhören, solange es noch weich ist',
	'Build up over two seconds': 'In zwei Sekunden aufbauen',
	'Breathe on while you hold': 'Beim Halten weiteratmen',
	'To the first pull, no further': 'Bis zum ersten Ziehen, nicht weiter',
	'Three slow breaths': 'Drei langsame Atemzüge',
	'Weaker or tighter side first': 'Die schwächere oder steifere Seite zuerst',
	'Tuck first': 'Zuerst das Becken kippen',
	'Sink, do not lean': 'Sinken, nicht lehnen',
	'Breathe out longer than in': 'Länger aus- als einatmen',
	'Thigh loose': 'Der Oberschenkel locker',
	'Heel heavy': 'Die Ferse schwer',
	'Long line': 'Eine lange Linie',
	'Enough tension, no more': 'So viel Spannung wie nötig, nicht mehr',
	'Lift, do not push': 'Heben, nicht pressen',
	'Let go wholly': 'Ganz loslassen',
	Slow: 'Langsam',
	'A breath on each spot': 'Auf jeder Stelle einen Atemzug',
	'Discomfort, not pain': 'Unangenehm darf es sein, nicht schmerzhaft',
	'Easy and rhythmic': 'Leicht und im Rhythmus',
	'Stand tall': 'Aufrecht stehen',
	'A little more each time': 'Jedes Mal ein wenig mehr',
	'Tall and light': 'Groß und leicht',
	'Land softly': 'Weich landen',
	'Small before large': 'Erst klein, dann groß'
};

export const CAUTIONS_DE: Readonly<Record<string, string>> = {
	'Stop for locking, giving way, sharp pain with loss of movement, or pain spreading further down the leg.':
		'Aufhören, wenn das Gelenk blockiert oder nachgibt, bei stechendem Schmerz mit weniger Beweglichkeit oder wenn der Schmerz weiter ins Bein zieht.',
	'After surgery the surgeon’s or local protocol comes first.':
		'Nach einer Operation gilt zuerst, was Chirurgie oder Klinik vorgeben.',
	'The chair stands against a wall and cannot slide.': 'Der Stuhl steht an der Wand und kann nicht rutschen.',
	'Pulling on a bar or a wall takes the work from the legs.':
		'Wer sich an Stange oder Wand hochzieht, nimmt den Beinen die Arbeit.',
	'Keep a firm support in reach of one hand.': 'Etwas Festes in Reichweite einer Hand.',
	'Leaning first, or standing and then pressing, means the weight is too heavy.':
		'Wer sich zuerst lehnt oder erst steht und dann drückt, hat zu viel Gewicht.',
	'The support is fixed: a counter, a rail, a wall bar.':
		'Der Halt ist fest: Arbeitsplatte, Geländer, Sprossenwand.',
	'The position lost ends the hold: set it anew.':
		'Geht die Haltung verloren, ist das Halten zu Ende: neu einrichten.',
	'The position lost ends the set; more sets rather than more repetitions.':
		'Geht die Haltung verloren, ist der Satz zu Ende; lieber mehr Sätze als mehr Wiederholungen.',
	'Toes turn out only as far as the knee can follow them.':
		'Die Zehen nur so weit nach außen, wie das Knie ihnen folgen kann.',
	'A higher wedge loads the front of the knee more: not a step back for front-of-knee pain.':
		'Ein höherer Keil belastet die Vorderseite des Knies mehr: keine Erleichterung, wenn es vorn schmerzt.',
	'Stop for giving way, locking, or sharp pain under the kneecap.':
		'Aufhören, wenn das Knie nachgibt oder blockiert oder es unter der Kniescheibe sticht.',
	'A planted leg that wobbles goes back to foot and balance work first.':
		'Wackelt das Standbein, kommen zuerst Fuß und Gleichgewicht dran.',
	'Expect sore thighs after the first days of stepping down: warn the client.':
		'Nach den ersten Tagen des Hinabsteigens ist Muskelkater in den Oberschenkeln zu erwarten.',
	'When stuck, go back to the previous round.': 'Geht es nicht weiter, zurück zur Runde davor.',
	'A flat rear foot is not gentler: it opens nothing and risks more. Go sideways instead.':
		'Ein flacher hinterer Fuß ist nicht sanfter: er öffnet nichts und wagt mehr. Lieber seitwärts.',
	'A flat rear foot is not gentler: go sideways instead.':
		'Ein flacher hinterer Fuß ist nicht sanfter: lieber seitwärts.',
	'Two schools: never needed, or last and slow.': 'Zwei Schulen: nie nötig, oder zuletzt und langsam.',
	'A folded towel under the knee that rests.': 'Ein gefaltetes Handtuch unter das Knie, das aufliegt.',
	'Never remove bending for good: build tolerance.':
		'Das Beugen nie für immer streichen: Verträglichkeit aufbauen.',
	'Stop for pain that spreads further down the leg.': 'Aufhören, wenn der Schmerz weiter ins Bein zieht.',
	'Stop where the back begins to round.': 'Aufhören, wo der Rücken rund zu werden beginnt.',
	'Put the load down when the back tires, not when it hurts.':
		'Das Gewicht abstellen, wenn der Rücken müde wird, nicht erst, wenn er schmerzt.',
	'Felt in the low back: lower, lighter, or another way of the same purpose.':
		'Im unteren Rücken zu spüren: tiefer, leichter oder ein anderer Weg zum selben Zweck.',
	'The straps are fixed overhead and tried with the hands first.':
		'Die Schlaufen sind oben fest und zuerst mit den Händen geprüft.',
	'A sore outer hip does not lie on it and does not cross the midline.':
		'Mit einer wunden äußeren Hüfte nicht darauf liegen und nicht über die Mitte gehen.',
	'Groin pain that grows with each day of it: stop, and ask.':
		'Leistenschmerz, der mit jedem Tag wächst: aufhören und fragen.',
	'Caution with kneecap tracking trouble, a sore kneecap tendon, or an arthritic knee: isometric first, or another way of the same purpose.':
		'Vorsicht bei Kniescheibe, die nicht gut läuft, wunder Kniescheibensehne oder Arthrose: zuerst nur halten, oder ein anderer Weg zum selben Zweck.',
	'The last degrees to straight load the front of the knee most: with pain there begin at 60–90° instead.':
		'Die letzten Grade bis gestreckt belasten die Vorderseite des Knies am meisten: bei Schmerz dort bei 60–90° beginnen.',
	'After ligament surgery only the angles of the protocol.':
		'Nach einer Bandoperation nur die vorgegebenen Winkel.',
	'Cramp at the back of the thigh: less bend, slower.':
		'Krampf hinten im Oberschenkel: weniger beugen, langsamer.',
	'Sore backs choose seated before lying.': 'Mit wundem Rücken lieber sitzend als liegend.',
	'After an operation only as far as the protocol says.': 'Nach einer Operation nur so weit wie vorgegeben.',
	'Keep hands off the safety catch until the feet carry the sled.':
		'Die Sicherung erst lösen, wenn die Füße den Schlitten tragen.',
	'The sled stops where the buttocks would lift.': 'Der Schlitten hält, wo sich das Gesäß heben würde.',
	'No pause at the bottom with a sore back.': 'Mit wundem Rücken unten keine Pause.',
	'The sled stops where the buttock would lift.': 'Der Schlitten hält, wo sich die Gesäßhälfte heben würde.',
	'A newly swollen or tender calf is not exercised: same-day assessment.':
		'Eine neu geschwollene oder druckempfindliche Wade wird nicht geübt: noch am selben Tag untersuchen lassen.',
	'A sore heel cord at its bone stays level: no drop below the edge.':
		'Eine am Knochen wunde Achillessehne bleibt waagerecht: nicht unter die Kante.',
	'Stop for dizziness; a limp that is no longer noticed goes to the clinician.':
		'Bei Schwindel aufhören; ein Hinken, das man nicht mehr bemerkt, gehört untersucht.',
	'Keep a firm support in reach of one hand; after a fall, at every step.':
		'Etwas Festes in Reichweite einer Hand; nach einem Sturz bei jedem Schritt.',
	'Only for those cleared for impact. Stop for leaking, heaviness, or pain at the shin or groin that grows with each landing.':
		'Nur wer für Sprünge freigegeben ist. Aufhören bei Urinverlust, Schweregefühl oder Schmerz an Schienbein oder Leiste, der mit jeder Landung wächst.',
	'A low-impact twin is always offered: march or step instead.':
		'Es gibt immer einen Ersatz ohne Stoß: marschieren oder steigen.',
	'Leaking on landing: stop impact, offer a pelvic-health review.':
		'Urinverlust beim Landen: keine Sprünge mehr, und beim Beckenboden nachsehen lassen.',
	'Pain in the first holds that eases over the five is usual; pain that grows is not.':
		'Schmerz beim ersten Halten, der über die fünf nachlässt, ist üblich; Schmerz, der wächst, nicht.',
	'Seconds count toward the week: 300 for each muscle group. Note which side is tighter and what limits.':
		'Die Sekunden zählen für die Woche: 300 je Muskelgruppe. Merken, welche Seite steifer ist und was bremst.',
	'A knee that catches or is sore behind stays higher, or does another stretch.':
		'Ein Knie, das hakt oder hinten schmerzt, bleibt höher oder bekommt eine andere Dehnung.',
	'Too much bracing compresses a sensitive back: tune it down.':
		'Zu viel Anspannung drückt einen empfindlichen Rücken zusammen: weniger.',
	'What leaks or drags is told to the clinician.':
		'Urinverlust oder ein Ziehen nach unten wird der Praxis gesagt.',
	'Not on a swollen, bruised or newly tender place.':
		'Nicht auf einer geschwollenen, blauen oder neu druckempfindlichen Stelle.',
	'About three minutes of march first. Afterwards stretch while warm; do not sit down at once.':
		'Zuerst etwa drei Minuten marschieren. Danach dehnen, solange man warm ist; nicht gleich hinsetzen.',
	'A low-impact twin is always offered: the same walking.':
		'Es gibt immer einen Ersatz ohne Stoß: dasselbe im Gehen.'
};
