package org.goldthistle.sample;

import java.util.List;
import java.util.UUID;

/** Who brings the bags of a parcel to the laboratory. */
public interface ParcelCarrier {
    /**
     * Brings bags; brought again, nothing changes.
     *
     * @throws org.springframework.web.client.RestClientException if nobody opens
     */
    void carry(List<Bag> bags);

    /** A bag with what was cut of a tree in it. */
    record Bag(String code, UUID treeId) {}
}
