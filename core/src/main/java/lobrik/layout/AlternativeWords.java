package lobrik.layout;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import lobrik.fault.FaultCode;
import lobrik.measure.LengthUnit;

/** Says what a choice of angle comes to, room against pull, in a sentence. */
public record AlternativeWords(List<Alternative> all, LengthUnit unit) {

    private record Angled(Alternative alternative, Alternative.Takes takes) {

        /** What it is called: {@code 22.5°}. */
        String name() {
            return switch (alternative.of()) {
                case Alternative.Of.Steepness steep -> steep.angle().text();
                case Alternative.Of.Way way -> way.title();
                case Alternative.Of.OtherTool _ -> "";
            };
        }

        boolean isFree() {
            return !takes.concerns().contains(FaultCode.OBSTACLE_TOUCHED)
                    && !takes.concerns().contains(FaultCode.MARKS_TOO_CLOSE);
        }
    }

    /** {@code 10° takes 35 in along the wall and pulls 1.15 times as hard as a straight; 45° takes 9 in and pulls 1.87 times.} */
    public String sentence() {
        boolean isFixed = all.stream().allMatch(each -> switch (each.of()) {
            case Alternative.Of.Steepness _ -> false;
            case Alternative.Of.Way _, Alternative.Of.OtherTool _ -> true;
        });
        if (isFixed) {
            return "The angle of this bend is given: what can be chosen is how it is made.";
        }
        List<Angled> angles = all.stream()
                .flatMap(each -> switch (each.of()) {
                    case Alternative.Of.Steepness _ -> fitting(each).stream();
                    case Alternative.Of.Way _, Alternative.Of.OtherTool _ -> Stream.empty();
                })
                .toList();
        List<Angled> free = angles.stream().filter(Angled::isFree).toList();
        List<Angled> compared = free.isEmpty() ? angles : free;
        if (compared.isEmpty()) {
            return "No other angle fits here.";
        }
        Comparator<Angled> byRoom = Comparator.comparing(each -> each.takes().along());
        Angled roomy = compared.stream().max(byRoom).orElseThrow();
        Angled tight = compared.stream().min(byRoom).orElseThrow();
        if (roomy.equals(tight)) {
            return "Only " + roomy.name() + " fits here: it takes " + room(roomy) + " along the wall, and wire pulls "
                    + times(roomy) + " times as hard as through a straight.";
        }
        return "Room against pull: " + roomy.name() + " takes " + room(roomy) + " along the wall and wire pulls "
                + times(roomy) + " times as hard as through a straight; " + tight.name() + " takes " + room(tight)
                + " and pulls " + times(tight) + " times.";
    }

    private static Optional<Angled> fitting(Alternative alternative) {
        return switch (alternative.result()) {
            case Alternative.Result.Fits fits -> Optional.of(new Angled(alternative, fits.takes()));
            case Alternative.Result.Impossible _ -> Optional.empty();
        };
    }

    private String room(Angled angled) {
        return angled.takes().along().inWords(unit);
    }

    private static String times(Angled angled) {
        long hundredths = Math.round(angled.takes().pull() * 100);
        long rest = hundredths % 100;
        return hundredths / 100 + "." + (rest < 10 ? "0" : "") + rest;
    }
}
