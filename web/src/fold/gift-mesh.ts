import {
  BoxGeometry,
  CylinderGeometry,
  EdgesGeometry,
  Group,
  LineBasicMaterial,
  LineSegments,
  Mesh,
  MeshStandardMaterial,
  SphereGeometry,
  Vector3,
} from 'three';
import { solidsOf, type Gift, type GiftSolid } from '@rangoli/core';

/** As the gift is drawn where its measures are typed. */
const giftColour = '#e8c65f';

function meshOf(solid: GiftSolid, material: MeshStandardMaterial): Mesh {
  switch (solid.kind) {
    case 'block':
    case 'lump': {
      const { x, y, z } = solid.size;
      const geometry =
        solid.kind === 'block' ? new BoxGeometry(x, y, z) : new SphereGeometry(0.5, 32, 20);
      const mesh = new Mesh(geometry, material);
      if (solid.kind === 'lump') mesh.scale.set(x, y, z);
      mesh.position.set(solid.middle.x, solid.middle.y, solid.middle.z);
      return mesh;
    }
    case 'ball': {
      const mesh = new Mesh(new SphereGeometry(solid.radius, 40, 24), material);
      mesh.position.set(solid.middle.x, solid.middle.y, solid.middle.z);
      return mesh;
    }
    case 'round': {
      const from = new Vector3(solid.from.x, solid.from.y, solid.from.z);
      const to = new Vector3(solid.to.x, solid.to.y, solid.to.z);
      const length = from.distanceTo(to);
      const mesh = new Mesh(
        new CylinderGeometry(solid.toRadius, solid.fromRadius, length, 48),
        material,
      );
      mesh.position.copy(from).lerp(to, 0.5);
      mesh.quaternion.setFromUnitVectors(new Vector3(0, 1, 0), to.clone().sub(from).normalize());
      return mesh;
    }
  }
}

/** The gift as a body that stands on its foot. */
export function giftGroup(gift: Gift): Group {
  const group = new Group();
  const material = new MeshStandardMaterial({ color: giftColour, roughness: 0.7 });
  const line = new LineBasicMaterial({ color: '#3d3210', transparent: true, opacity: 0.7 });
  for (const solid of solidsOf(gift)) {
    const mesh = meshOf(solid, material);
    mesh.castShadow = true;
    mesh.receiveShadow = true;
    mesh.add(new LineSegments(new EdgesGeometry(mesh.geometry, 40), line));
    group.add(mesh);
  }
  return group;
}
