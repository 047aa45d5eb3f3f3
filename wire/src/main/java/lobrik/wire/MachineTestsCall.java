package lobrik.wire;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shop.MachineTests;
import org.jspecify.annotations.Nullable;

/** Test bends at a machine: how far the ram was out, the angle under load, and what stayed of it. */
public record MachineTestsCall(@Nullable List<@Nullable MachineTestInput> tests) {

    /** One test bend. */
    public record MachineTestInput(
            @Nullable Double travelIn,
            @Nullable Double underLoadDeg,
            @Nullable Double restDeg) {

        private Optional<MachineTests.TestBend> translated(Translation translation, String at) {
            Optional<Length> travel = translation.length(at + "/travelIn", travelIn);
            Optional<Angle> underLoad = translation.angle(at + "/underLoadDeg", underLoadDeg);
            Optional<Angle> rest = translation.angle(at + "/restDeg", restDeg);
            return travel.flatMap(t -> underLoad.flatMap(u ->
                    rest.flatMap(r -> translation.built(at, () -> new MachineTests.TestBend(t, u, r)))));
        }
    }

    /**
     * The tables that the test bends give, in the form in which a bender's figures take them.
     *
     * @param springbackScatterDeg standard deviation of a test bend about the fit; none where nothing can be said
     * @param travelScatterIn likewise
     * @param residuals of each test bend
     * @param doubtful the test bend, by its place from 0, that is worth bending once more; none where there is no such
     */
    public record MachineTestsAnswer(
            List<BenderInput.SpringbackRow> springback,
            List<BenderInput.TravelRow> ramTravel,
            @Nullable Double springbackScatterDeg,
            @Nullable Double travelScatterIn,
            List<MachineResidual> residuals,
            @Nullable Integer doubtful) {

        static MachineTestsAnswer of(MachineTests fit) {
            return new MachineTestsAnswer(
                    fit.springback().rows().stream()
                            .map(row -> new BenderInput.SpringbackRow(
                                    row.rest().degrees(), row.springback().degrees()))
                            .toList(),
                    fit.travel().rows().stream()
                            .map(row -> new BenderInput.TravelRow(
                                    row.underLoad().degrees(), row.travel().inches()))
                            .toList(),
                    fit.springbackScatter().map(Angle::degrees).orElse(null),
                    fit.travelScatter().map(Length::inches).orElse(null),
                    fit.residuals().stream()
                            .map(each -> new MachineResidual(
                                    each.springback().degrees(), each.travel().inches()))
                            .toList(),
                    fit.doubtful().isPresent() ? fit.doubtful().getAsInt() : null);
        }
    }

    /** What was read on a test bend less what the fit gives. */
    public record MachineResidual(double springbackDeg, double travelIn) {}

    MachineTestsAnswer fitted() {
        Translation translation = new Translation();
        Optional<List<MachineTests.TestBend>> bends = translation
                .required("tests", tests)
                .map(inputs -> {
                    List<MachineTests.TestBend> read = new ArrayList<>();
                    for (int i = 0; i < inputs.size(); i++) {
                        String at = "tests/" + i;
                        translation
                                .required(at, inputs.get(i))
                                .flatMap(input -> input.translated(translation, at))
                                .ifPresent(read::add);
                    }
                    return List.copyOf(read);
                });
        return MachineTestsAnswer.of(MachineTests.of(translation.finish(bends)));
    }
}
