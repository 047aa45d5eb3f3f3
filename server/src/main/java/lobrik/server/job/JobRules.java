package lobrik.server.job;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.List;
import lobrik.wire.DivideRequest;
import lobrik.wire.LayoutRequest;
import org.jspecify.annotations.Nullable;

/** What a run is cut from and where it is fastened, as it was when the job was given out; the usual figures where nothing is said. */
@JsonInclude(JsonInclude.Include.NON_NULL)
record JobRules(
        @Nullable List<@Nullable Double> leftOversIn,
        @Nullable Double kerfIn,
        @Nullable Double couplingFromArcIn,
        @Nullable Double strapFromFittingIn,
        @Nullable Double strapApartIn,
        @Nullable Double friction) {

    static final JobRules USUAL = new JobRules(null, null, null, null, null, null);

    DivideRequest of(LayoutRequest whole) {
        return new DivideRequest(
                whole, leftOversIn, kerfIn, couplingFromArcIn, strapFromFittingIn, strapApartIn, friction);
    }
}
